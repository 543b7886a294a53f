import type { DemandBook } from "./demand-book";

/** A book that knows no drawing: whatever must be judged by one cannot be, and is not let pass. For asking without limits. */
export const noDrawings: DemandBook = {
  demandOf: (exercise) => ({ exercise, ok: false, why: "nothing is drawn of it" }),
};
