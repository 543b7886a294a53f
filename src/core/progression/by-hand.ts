import type { Dose } from "~/core/dose/dose";
import { knobByName, turnedKnobs } from "~/core/exercise/knob";
import type { Prescription } from "~/core/exercise/prescription";
import type { ByHandChange } from "./change";

/** What a change by a clinician's own hand alters, and which way it goes. */
export interface ByHand {
  readonly change: ByHandChange;
  /** Harder or easier where everything altered goes one way; else 'other'. */
  readonly direction: "harder" | "easier" | "other";
  /** Something of it asks more than before, or may, whatever else asks less: a knob that only one of the two has is not compared. */
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
  const isHarder = ways.some((way) => way > 0);
  const isEasier = ways.some((way) => way < 0);
  return {
    change: {
      kind: "by-hand",
      altered: [...new Set([...knobs, ...bottoms, ...fields, ...(before.leg === after.leg ? [] : ["leg"])])],
      prescription: after,
    },
    direction: isHarder === isEasier ? "other" : isHarder ? "harder" : "easier",
    anyHarder: isHarder || knobs.some((name) => isUnclear(name, before, after)),
  };
}

/** Where a knob stands; without a load is a load of nothing. */
const stands = (name: string, prescription: Prescription) =>
  knobByName(name).read(prescription) ?? (name === "load" ? 0 : undefined);

const isUnclear = (name: string, before: Prescription, after: Prescription): boolean =>
  stands(name, before) === undefined || stands(name, after) === undefined;

/** 1 where a knob stands harder than before, −1 easier; 0 where only one of the two has it. */
function knobWay(name: string, before: Prescription, after: Prescription): number {
  const [from, to] = [stands(name, before), stands(name, after)];
  if (from === undefined || to === undefined) return 0;
  const { rank } = knobByName(name);
  return Math.sign(rank(to) - rank(from));
}

function amount({ dose }: Prescription, field: keyof typeof others): number {
  const value = dose[field];
  if (typeof value === "number") return value;
  return field === "boutsPerDay" ? 1 : 0;
}
