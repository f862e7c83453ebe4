import type { Browser, BrowserContext, Locator, Page, Request } from "playwright-core";
import { afterAll, afterEach, beforeAll, beforeEach, expect } from "vitest";
import { newFolder, removeFolder, startApp, type RunningApp } from "./app";
import { openBrowser } from "./browser";

type Options = NonNullable<Parameters<Browser["newPage"]>[0]>;
export const DESK: Options = { viewport: { width: 1280, height: 800 } };
export const PHONE: Options = { viewport: { width: 390, height: 844 }, hasTouch: true, isMobile: true };

/** A running app with the demo's recipes, and a fresh page for each test, on which nothing may go wrong unseen. */
export interface Session {
  app: RunningApp;
  browser: Browser;
  page: Page;
  /** Opens the page of this test anew, with other options. */
  readonly open: (options: Options) => Promise<Page>;
  /** A window of its own, as on another device. */
  readonly another: (options?: Options) => Promise<Page>;
  /** Another window of the same browser. */
  readonly beside: () => Promise<Page>;
  /** Waits until nothing that the page asked for is on its way. */
  readonly quiet: () => Promise<void>;
  /** Errors on the pages of this test; a test that provokes some empties it. */
  readonly problems: string[];
  readonly goto: (path: string) => Promise<void>;
  readonly button: (name: string | RegExp) => Locator;
  readonly link: (name: string | RegExp) => Locator;
}

/** What a worker asks for: one that is ended with its page takes its request along without a word. */
const BY_WORKERS = /\/solver\//;

/** Waits until the page hears: its markup is there before its code. */
export async function heard(page: Page): Promise<void> {
  await page.waitForFunction(() => Object.keys(document.querySelector("main") ?? {}).some((key) => key.startsWith("__reactProps")));
}

/** `environment` as for `startApp`: THREPSIS_SEED "" is a household of its own, with nothing in it. */
export function startSession(environment: Readonly<Record<string, string>> = {}): Session {
  let contexts: BrowserContext[] = [];
  const onItsWay = new WeakMap<Page, ReadonlySet<Request>>();
  const watched = (page: Page): Page => {
    page.setDefaultTimeout(60_000);
    const asked = new Set<Request>();
    onItsWay.set(page, asked);
    page.on("request", (request) => asked.add(request));
    for (const end of ["requestfinished", "requestfailed"] as const) page.on(end as "requestfinished", (request) => asked.delete(request));
    page.on("pageerror", (error) => session.problems.push(error.message));
    page.on("console", (message) => {
      if (message.type() === "error" && !/Failed to load resource/.test(message.text())) session.problems.push(message.text());
    });
    return page;
  };
  const session: Session = {
    problems: [],
    app: null as unknown as RunningApp,
    browser: null as unknown as Browser,
    page: null as unknown as Page,
    another: async (options = DESK) => {
      const context = await session.browser.newContext({ reducedMotion: "reduce", ...options });
      contexts.push(context);
      return watched(await context.newPage());
    },
    beside: async () => watched(await session.page.context().newPage()),
    open: async (options) => {
      await session.page.close();
      return (session.page = await session.another(options));
    },
    goto: async (path) => {
      await session.page.goto(`${session.app.address}${path}`);
      await heard(session.page);
    },
    quiet: async () =>
      expect
        .poll(() => [...(onItsWay.get(session.page) ?? [])].map((request) => request.url()).filter((url) => !BY_WORKERS.test(url)), { timeout: 60_000 })
        .toEqual([]),
    button: (name) => session.page.getByRole("button", { name }),
    link: (name) => session.page.getByRole("link", { name }),
  };
  beforeAll(async () => {
    [session.app, session.browser] = await Promise.all([startApp(newFolder(), { environment }), openBrowser()]);
  });
  afterAll(async () => {
    await session.browser.close();
    await session.app.stop();
    removeFolder(session.app.folder);
  });
  beforeEach(async () => {
    session.problems.length = 0;
    contexts = [];
    session.page = await session.another();
  });
  afterEach(async () => {
    await Promise.all(contexts.map((context) => context.close()));
    expect(session.problems).toEqual([]);
  });
  return session;
}
