import { defineConfig } from "vitest/config";

export default defineConfig({
  test: { include: ["src/**/*.test.ts", "tests/{golden,integration,e2e}/**/*.test.ts"], testTimeout: 60_000, hookTimeout: 60_000 },
  resolve: { alias: { "@": new URL("./src", import.meta.url).pathname } },
});
