import { afterAll, beforeAll } from "vitest";
import { newFolder, removeFolder, startApp, type RunningApp } from "./app";

/** The app of a test file, over a folder of its own, from its first test to its last. */
export function ownApp(): { readonly address: string } {
  const folder = newFolder();
  let app: RunningApp | null = null;
  beforeAll(async () => void (app = await startApp(folder)));
  afterAll(async () => {
    await app?.stop();
    removeFolder(folder);
  });
  return {
    get address() {
      if (!app) throw new Error("The app is there once the tests run.");
      return app.address;
    },
  };
}
