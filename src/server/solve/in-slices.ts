import { setImmediate as nextTurn } from "node:timers/promises";
import type { InSteps } from "~/core/work/in-steps";
import { ApiProblem } from "~/server/http/problem";

/** Milliseconds of one slice, or a single step that takes longer. */
const sliceMs = 10;
/** More than these at a time are told to come again: each of them would wait longer than anybody does. */
const mostAtATime = 40;

let working = 0;
/** When the slice is over that was promised last. */
let last: Promise<unknown> = Promise.resolve();

/**
 * Does long work of this process in slices. Between two, everybody who asked something meanwhile is answered; of several such works
 * only one has a slice at a turn.
 *
 * @throws ApiProblem 503 when too much is being worked out already
 */
export async function inSlices<T>(work: InSteps<T>): Promise<T> {
  if (working >= mostAtATime)
    throw new ApiProblem(503, "busy", "Too much is being worked out just now. Try again in a minute.");
  working += 1;
  try {
    for (;;) {
      last = last.then(() => nextTurn());
      await last;
      const step = slice(work);
      if (step.done) return step.value;
    }
  } finally {
    working -= 1;
  }
}

function slice<T>(work: InSteps<T>): IteratorResult<undefined, T> {
  const until = performance.now() + sliceMs;
  for (;;) {
    const step = work.next();
    if (step.done || performance.now() >= until) return step;
  }
}
