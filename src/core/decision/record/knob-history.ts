import type { SignedChange } from "~/core/decision/record/decide-input";

const defaultRun = 2;
const runAfterEase = 3;
const easesThatRest = 2;

/** Qualifying days needed to turn a knob: 2, or 3 when that knob was eased since it was last stepped. */
export function neededRun(changes: readonly SignedChange[], knob: string): number {
  const last = changes.filter((change) => change.knob === knob).at(-1);
  return last?.direction === "easier" ? runAfterEase : defaultRun;
}

/** Knobs that were eased twice after being stepped: the next step takes another knob, or asks. */
export function restingKnobs(changes: readonly SignedChange[]): string[] {
  const eased = new Map<string, number>();
  const stepped = new Set<string>();
  for (const { knob, direction } of changes) {
    if (knob === undefined) continue;
    if (direction === "harder") stepped.add(knob);
    else if (direction === "easier" && stepped.delete(knob)) eased.set(knob, (eased.get(knob) ?? 0) + 1);
  }
  return [...eased].filter(([, times]) => times >= easesThatRest).map(([knob]) => knob);
}
