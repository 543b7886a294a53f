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
  const parts = [
    ...turnedKnobs(before, after).map((name) => ({ name, way: knobWay(name, before, after) })),
    ...bottomsMoved(before, after),
    ...fieldsMoved(before, after),
    ...(before.leg === after.leg ? [] : [{ name: "leg", way: Math.sign(legRank(after) - legRank(before)) }]),
  ];
  if (parts.length === 0 && before.variantId === after.variantId) return null;
  const isHarder = parts.some(({ way }) => way !== null && way > 0);
  const isEasier = parts.some(({ way }) => way !== null && way < 0);
  const altered = [...new Set(parts.map(({ name }) => name))];
  return {
    change: { kind: "by-hand", altered, prescription: after },
    direction: isHarder === isEasier ? "other" : isHarder ? "harder" : "easier",
    anyHarder: isHarder || parts.some(({ way }) => way === null),
  };
}

/** One thing that was altered: 1 harder, −1 easier, 0 neither, null where it cannot be compared. */
interface Part {
  readonly name: string;
  readonly way: number | null;
}

/** Where a knob stands; without a load is a load of nothing. */
const stands = (name: string, prescription: Prescription) =>
  knobByName(name).read(prescription) ?? (name === "load" ? 0 : undefined);

function knobWay(name: string, before: Prescription, after: Prescription): Part["way"] {
  const [from, to] = [stands(name, before), stands(name, after)];
  if (from === undefined || to === undefined) return null;
  const { rank } = knobByName(name);
  return Math.sign(rank(to) - rank(from));
}

/** Lower ends of ranges: a knob reads a range by its top. */
function bottomsMoved({ dose: before }: Prescription, { dose: after }: Prescription): Part[] {
  return ranges.flatMap((name) => {
    const [from = 0, to = 0] = [before[name]?.bottom, after[name]?.bottom];
    return from === to ? [] : [{ name, way: Math.sign(to - from) }];
  });
}

function fieldsMoved(before: Prescription, after: Prescription): Part[] {
  return (Object.keys(others) as (keyof typeof others)[]).flatMap((name) => {
    if (before.dose[name] === after.dose[name]) return [];
    return [{ name, way: others[name] * Math.sign(amount(after, name) - amount(before, name)) }];
  });
}

function amount({ dose }: Prescription, field: keyof typeof others): number {
  const value = dose[field];
  if (typeof value === "number") return value;
  return field === "boutsPerDay" ? 1 : 0;
}
