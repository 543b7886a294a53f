import type { PlanWeekInput, PlanWeekOutput } from "~/core/week/plan-week";
import type { PlanTold } from "~/workers/week-planner";

/** So long the browser has to fetch the solver and to plan; after that the server is asked. */
const mostMs = 12_000;

/**
 * A week planned in the browser, beside the view, which answers to the hand meanwhile.
 *
 * @returns the week or its clash; null where this browser cannot plan: the server is asked then
 */
export function planHere(input: PlanWeekInput): Promise<PlanWeekOutput | null> {
  return new Promise((resolve) => {
    const worker = new Worker(new URL("../../workers/week-planner.ts", import.meta.url), { type: "module" });
    const end = (answer: PlanWeekOutput | null) => {
      clearTimeout(late);
      worker.terminate();
      resolve(answer);
    };
    const late = setTimeout(() => end(null), mostMs);
    worker.onerror = () => end(null);
    worker.onmessage = ({ data }: MessageEvent<PlanTold>) => end("answer" in data ? data.answer : null);
    worker.postMessage(input);
  });
}
