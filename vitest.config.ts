import path from "node:path";
import { defineConfig } from "vitest/config";

const here = import.meta.dirname;
const alias = {
  "~demo": path.join(here, "demo"),
  "~tests": path.join(here, "tests"),
  "~": path.join(here, "src"),
};

/** Suites that start a database and application processes run one file at a time. */
const withServers = { fileParallelism: false, testTimeout: 60_000, hookTimeout: 120_000 };

export default defineConfig({
  test: {
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
          testTimeout: 60_000,
        },
      },
      { resolve: { alias }, test: { name: "api", include: ["tests/api/**/*.test.ts"], ...withServers } },
      {
        resolve: { alias },
        test: { name: "browser", include: ["tests/browser/**/*.test.ts"], ...withServers },
      },
    ],
  },
});
