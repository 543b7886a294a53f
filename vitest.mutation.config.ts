import path from "node:path";
import { defineConfig } from "vitest/config";

const here = import.meta.dirname;

/** For `npm run test:mutation`: the tests of one room of the core, in one project, as the mutation runner wants it. */
export default defineConfig({
  resolve: {
    alias: {
      "~demo": path.join(here, "demo"),
      "~tests": path.join(here, "tests"),
      "~": path.join(here, "src"),
    },
  },
  test: {
    include: (process.env["MUTATION_TESTS"] ?? "").split(","),
    isolate: false,
    unstubGlobals: true,
    testTimeout: 60_000,
  },
});
