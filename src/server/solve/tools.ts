import { performance } from "node:perf_hooks";
import type { Tools } from "~/core/calculation/calculation";
import { inSlices } from "./in-slices";
import { openSolver } from "./solver-thread";

/** What calculations may use on this machine. */
export const tools: Tools = { solver: openSolver, now: () => performance.now(), long: inSlices };
