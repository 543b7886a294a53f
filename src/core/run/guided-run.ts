import type { Dose } from "~/core/dose/dose";
import { setSeconds } from "~/core/dose/set-seconds";
import type { WorkSides } from "~/core/exercise/sides-of";
import type { Side } from "~/core/response/session-record";

/** An exercise of a day as it is led through. */
export interface RunItem {
  readonly itemId: string;
  readonly dose: Dose;
  readonly sides: WorkSides;
  /** The leg that works first, or alone. */
  readonly first: "left" | "right";
  /** Exercises of one circuit stand together and bear its number. */
  readonly circuit: { readonly number: number; readonly restSeconds: number } | null;
}

/** A piece of a guided run: one set of one side, or a time between two. */
export type RunStep =
  | {
      readonly kind: "work";
      readonly itemId: string;
      readonly side: Side;
      /** Which set of that side, from 1. */
      readonly set: number;
      readonly of: number;
      readonly seconds: number;
    }
  | { readonly kind: "change" | "rest" | "next"; readonly itemId: string; readonly seconds: number };

const changeSeconds = 5;
const nextSeconds = 30;
const betweenInCircuit = 10;

/**
 * A day's exercises as one run: sets in their order, the two sides by turns where one rests while the other works, pauses, and half
 * a minute from one exercise to the next. A circuit goes round by round, a set of each in turn. One bout; what is done several
 * times a day is one run each time.
 *
 * The step that leads to an exercise names it: a rest tells what comes after it.
 *
 * @returns its steps; their seconds add up to what `planPieces` and `planMinutes` say of the same exercises
 * @example guidedRun([{ itemId: "a", dose: { sets: 1, hold: { bottom: 20, top: 30 }, restSeconds: 60 }, sides: "each-side", first: "right", circuit: null }])
 *   // [{ kind: "work", itemId: "a", side: "right", set: 1, of: 1, seconds: 30 }, { kind: "change", itemId: "a", seconds: 5 }, { kind: "work", itemId: "a", side: "left", set: 1, of: 1, seconds: 30 }]
 * Source: arithmetic; five seconds' change of side, half a minute between exercises and ten seconds within a circuit are common practice.
 */
export function guidedRun(items: readonly RunItem[]): RunStep[] {
  const steps: RunStep[] = [];
  for (const [n, group] of groupsOf(items).entries()) {
    const [first] = group;
    if (!first) continue;
    if (n > 0) steps.push({ kind: "next", itemId: first.itemId, seconds: nextSeconds });
    steps.push(...(first.circuit ? circuitSteps(group, first.circuit.restSeconds) : itemSteps(first)));
  }
  return steps;
}

/** Exercises alone, and those of a circuit together. */
function groupsOf(items: readonly RunItem[]): RunItem[][] {
  const groups: RunItem[][] = [];
  for (const item of items) {
    const last = groups.at(-1);
    const number = item.circuit?.number;
    if (last && number !== undefined && last[0]?.circuit?.number === number) last.push(item);
    else groups.push([item]);
  }
  return groups;
}

function itemSteps(item: RunItem): RunStep[] {
  const { dose, sides, itemId } = item;
  const { sets, restSeconds } = dose;
  const numbers = Array.from({ length: sets }, (_, n) => n + 1);
  const rest = (seconds: number): RunStep[] => (seconds > 0 ? [{ kind: "rest", itemId, seconds }] : []);
  if (sides !== "each-side")
    return numbers.flatMap((n) => [...(n > 1 ? rest(restSeconds) : []), ...oneSet(item, n, sets)]);
  if (dose.alternateSides === false) {
    const oneSide = (side: Side) =>
      numbers.flatMap((n) => [...(n > 1 ? rest(restSeconds) : []), workOf(item, side, n, sets)]);
    return [...oneSide(item.first), changeOf(item), ...oneSide(otherLeg(item))];
  }
  const left = Math.max(0, restSeconds - setSeconds(dose) - 2 * changeSeconds);
  return numbers.flatMap((n) => [
    ...(n > 1 ? [changeOf(item), ...rest(left)] : []),
    ...oneSet(item, n, sets),
  ]);
}

/** As many rounds as the most sets of its exercises, every one of them in each. */
function circuitSteps(items: readonly RunItem[], restSeconds: number): RunStep[] {
  const rounds = Math.max(...items.map(({ dose }) => dose.sets));
  return Array.from({ length: rounds }, (_, n) => n + 1).flatMap((round) =>
    items.flatMap((item, i): RunStep[] => {
      const { itemId } = item;
      const lead: RunStep | null =
        i > 0
          ? { kind: "next", itemId, seconds: betweenInCircuit }
          : round > 1 && restSeconds > 0
            ? { kind: "rest", itemId, seconds: restSeconds }
            : null;
      return [...(lead ? [lead] : []), ...oneSet(item, round, rounds)];
    }),
  );
}

const otherLeg = ({ first }: RunItem) => (first === "left" ? "right" : "left");
const changeOf = ({ itemId }: RunItem): RunStep => ({ kind: "change", itemId, seconds: changeSeconds });

/** One set of whoever works: of both legs together, of one, or of each in turn. */
function oneSet(item: RunItem, set: number, of: number): RunStep[] {
  const { sides, first } = item;
  if (sides !== "each-side") return [workOf(item, sides === "both-together" ? "both" : first, set, of)];
  return [workOf(item, first, set, of), changeOf(item), workOf(item, otherLeg(item), set, of)];
}

const workOf = (item: RunItem, side: Side, set: number, of: number): RunStep => ({
  kind: "work",
  itemId: item.itemId,
  side,
  set,
  of,
  seconds: setSeconds(item.dose),
});
