import type { Dose } from "~/core/dose/dose";
import { knobByName, turnedKnobs } from "~/core/exercise/knob";
import type { Prescription } from "~/core/exercise/prescription";
import type { ByHandChange } from "./change";

/** What a change by a clinician's own hand alters, and which way it goes. */
export interface ByHand {
  readonly change: ByHandChange;
  /** Harder or easier where everything altered goes one way; else 'other'. */
  readonly direction: "harder" | "easier" | "other";
  /** Something of it asks more than before, whatever else asks less. */
  readonly anyHarder: boolean;
}

/** Fields of a dose that no knob turns, each with which way is harder; 0 where neither is. */
const others = {
  restSeconds: -1,
  daysPerWeek: 1,
  boutsPerDay: 1,
  halfwayPauseSeconds: 1,
  alternateSides: 0,
  style: 0,
  policy: 0,
} as const satisfies Partial<Record<keyof Dose, -1 | 0 | 1>>;

const ranges = ["reps", "hold", "contacts"] as const;

/** How much of the affected leg's work a prescription asks. */
const legRank = ({ leg }: Prescription) => (leg === "other" ? 0 : 1);

/**
 * The difference between two prescriptions of one exercise, as one change of as many knobs as it takes.
 *
 * @returns null when nothing differs
 */
export function byHand(before: Prescription, after: Prescription): ByHand | null {
  const knobs = turnedKnobs(before, after);
  const fields = (Object.keys(others) as (keyof typeof others)[]).filter(
    (field) => before.dose[field] !== after.dose[field],
  );
  // A knob reads a range by its top.
  const bottoms = ranges.filter((range) => before.dose[range]?.bottom !== after.dose[range]?.bottom);
  const ways = [
    ...knobs.map((name) => knobWay(name, before, after)),
    ...bottoms.map((range) =>
      Math.sign((after.dose[range]?.bottom ?? 0) - (before.dose[range]?.bottom ?? 0)),
    ),
    ...fields.map((field) => others[field] * Math.sign(amount(after, field) - amount(before, field))),
    ...(before.leg === after.leg ? [] : [Math.sign(legRank(after) - legRank(before))]),
  ];
  const isSameVariant = before.variantId === after.variantId;
  if (ways.length === 0 && isSameVariant) return null;
  const anyHarder = ways.some((way) => way > 0);
  const anyEasier = ways.some((way) => way < 0);
  return {
    change: {
      kind: "by-hand",
      altered: [...new Set([...knobs, ...bottoms, ...fields, ...(before.leg === after.leg ? [] : ["leg"])])],
      prescription: after,
    },
    direction: anyHarder === anyEasier ? "other" : anyHarder ? "harder" : "easier",
    anyHarder,
  };
}

/** 1 where a knob stands harder than before, −1 easier; one that only one of the two has is neither. */
function knobWay(name: string, before: Prescription, after: Prescription): number {
  const knob = knobByName(name);
  const [from, to] = [knob.read(before), knob.read(after)];
  if (from === undefined || to === undefined) return 0;
  return Math.sign(knob.rank(to) - knob.rank(from));
}

function amount({ dose }: Prescription, field: keyof typeof others): number {
  const value = dose[field];
  if (typeof value === "number") return value;
  return field === "boutsPerDay" ? 1 : 0;
}
