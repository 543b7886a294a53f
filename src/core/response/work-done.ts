import type { Dose, WorkRange } from "~/core/dose/dose";
import { effortTarget } from "~/core/dose/effort-target";
import { cleanReps } from "./clean-reps";
import type { SetRecord, Side } from "./session-record";

/** What was done of a day's sets on the leg that fell shortest, in the unit in which it did, beside what was asked. */
export interface WorkDone {
  readonly unit: "reps" | "hold" | "contacts" | "minutes" | "force";
  readonly leg: Side;
  /** Clean repetitions, seconds, contacts, minutes or newtons, set by set. */
  readonly done: readonly number[];
  readonly bottom: number;
  readonly top: number;
  readonly setsAsked: number;
}

interface Asked {
  readonly dose: Dose;
  readonly involvedSide: Side;
  /** Newtons; null when nobody has measured it. */
  readonly maximumN: number | null;
}

/**
 * What was done beside what was asked, for saying it: the leg with fewest sets, else the one furthest below the top, in the first
 * unit that fell short.
 *
 * @param sets those that decide
 * @returns null where the dose counts nothing
 */
export function workDone(sets: readonly SetRecord[], asked: Asked): WorkDone | null {
  const { involvedSide } = asked;
  const legs: readonly Side[] = involvedSide === "both" ? ["left", "right"] : [involvedSide];
  const each = legs.flatMap((leg) => {
    const own = sets.filter(({ side }) => side === "both" || side === leg);
    const found = shortest(own, asked);
    return found ? [{ ...found, leg, setsAsked: asked.dose.sets }] : [];
  });
  const [worst] = each.sort((a, b) => a.done.length - b.done.length || shareOf(a) - shareOf(b));
  return worst ?? null;
}

type Said = Omit<WorkDone, "leg" | "setsAsked">;

/** The least of a set, as a share of the top. */
const shareOf = ({ done, top }: Said) => Math.min(...done) / top;

function shortest(sets: readonly SetRecord[], { dose, maximumN }: Asked): Said | null {
  const { reps, hold, contacts, minutes, effort } = dose;
  const of = (
    unit: WorkDone["unit"],
    range: WorkRange | undefined,
    pick: (set: SetRecord) => number,
  ): Said[] => (range ? [{ unit, done: sets.map(pick), bottom: range.bottom, top: range.top }] : []);
  const force = effort && maximumN !== null ? effortTarget({ maximumN, ...effort }) : undefined;
  const said = [
    ...of("reps", reps, cleanReps),
    ...of("hold", hold, (set) => set.holdSeconds ?? 0),
    ...of("contacts", contacts, (set) => set.contacts ?? 0),
    ...of(
      "minutes",
      minutes === undefined ? undefined : { bottom: minutes, top: minutes },
      (set) => set.minutes ?? 0,
    ),
    ...of("force", force && { bottom: force.lowN, top: force.lowN }, (set) => set.forceN ?? 0),
  ];
  return said.find((one) => one.done.some((value) => value < one.top)) ?? said[0] ?? null;
}
