import { defineConfig } from "vitest/config";

export default defineConfig({
  resolve: { alias: { "@": new URL("./src", import.meta.url).pathname } },
  test: {
    // A process starts in seconds, on a loaded machine in a minute; what hangs fails all the same.
    testTimeout: 240_000,
    hookTimeout: 240_000,
    projects: [
      { extends: true, test: { name: "core and ui", include: ["src/**/*.test.ts", "tests/golden/**/*.test.ts"] } },
      { extends: true, test: { name: "integration", include: ["tests/integration/**/*.test.ts"] } },
      // A real browser on a loaded machine may miss a moment: one second try, which the report shows.
      { extends: true, test: { name: "e2e", include: ["tests/e2e/**/*.test.ts"], retry: 1, expect: { poll: { timeout: 10_000 } } } },
    ],
  },
});
