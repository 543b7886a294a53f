import path from "node:path";
import { defineConfig } from "vitest/config";
import SlowFirst from "./tests/harness/slow-first";

const here = import.meta.dirname;
const alias = {
  "~demo": path.join(here, "demo"),
  "~tests": path.join(here, "tests"),
  "~": path.join(here, "src"),
};

/**
 * Suites with a database and application processes; each of two workers has its own, put back between files. A test that hangs is
 * ended; one on a machine with half the speed, or with other work to do, is waited for.
 */
const withServers = {
  globalSetup: [path.join(here, "tests/harness/template.ts")],
  maxWorkers: 2,
  // Files share no state but what their modules hold, which nothing changes; loading the house once for all is a minute less.
  isolate: false,
  testTimeout: 300_000,
  hookTimeout: 300_000,
  // What a page or a server does a moment later is waited for as an act at a page is: that something is stuck, not slow.
  expect: { poll: { timeout: 120_000, interval: 50 } },
};

export default defineConfig({
  test: {
    sequence: { sequencer: SlowFirst },
    projects: [
      {
        resolve: { alias },
        test: {
          name: "unit",
          include: [
            "src/**/*.test.ts",
            "tests/reference/**/*.test.ts",
            "tests/floors/**/*.test.ts",
            "demo/**/*.test.ts",
          ],
          setupFiles: [path.join(here, "tests/harness/drawn-cases.ts")],
          maxWorkers: 2,
          // The core has no state that one file could leave to another; loading it once is half the time.
          isolate: false,
          unstubGlobals: true,
          testTimeout: 180_000,
        },
      },
      { resolve: { alias }, test: { name: "api", include: ["tests/api/**/*.test.ts"], ...withServers } },
      // Whole episodes lived in the browser, weeks long: `npm run test:stories`, not part of `npm test`.
      {
        resolve: { alias },
        test: {
          name: "stories",
          include: ["tests/stories/**/*.test.ts", "tests/api/special-people.test.ts"],
          env: { EVERYBODY: "yes" },
          ...withServers,
        },
      },
      // Long faults: `npm run test:faults`, not part of `npm test`.
      {
        resolve: { alias },
        // One at a time: their figures stand in docs/operations.md.
        test: { name: "faults", include: ["tests/faults/**/*.test.ts"], ...withServers, maxWorkers: 1 },
      },
      {
        resolve: { alias },
        test: { name: "browser", include: ["tests/browser/**/*.test.ts"], ...withServers },
      },
    ],
  },
});
