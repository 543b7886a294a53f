import type { Dose } from "~/core/dose/dose";
import { effortTarget } from "~/core/dose/effort-target";
import { cleanReps } from "./clean-reps";
import type { SetRecord } from "./session-record";

/** What sets are measured against: the dose, and the maximal force where it is known. */
interface Asked {
  readonly dose: Dose;
  /** Newtons. */
  readonly maximumN: number | null;
}

const enoughOfMinutes = 2 / 3;

/**
 * Whether what was done of the sets done stays below the bottom of the range: clean repetitions, seconds, contacts added up;
 * newtons of an effort band likewise; minutes below two thirds. A set that fear ended is no sign of too much.
 */
export function fallsBelow(sets: readonly SetRecord[], asked: Asked): boolean {
  const legs = [...new Set(sets.map(({ side }) => side))];
  return legs.some((leg) =>
    legFallsBelow(
      sets.filter(({ side }) => side === leg),
      asked,
    ),
  );
}

function legFallsBelow(sets: readonly SetRecord[], { dose, maximumN }: Asked): boolean {
  if (sets.some((set) => set.limit?.kind === "fear")) return false;
  const lowN = dose.effort && maximumN !== null ? effortTarget({ maximumN, ...dose.effort }).lowN : undefined;
  const amounts: [(set: SetRecord) => number | undefined, number | undefined][] = [
    [cleanReps, dose.reps?.bottom],
    [(set) => set.holdSeconds ?? (dose.reps ? undefined : 0), dose.hold?.bottom],
    [(set) => set.contacts ?? 0, dose.contacts?.bottom],
    [(set) => set.minutes ?? 0, dose.minutes === undefined ? undefined : dose.minutes * enoughOfMinutes],
    [(set) => set.forceN, lowN],
  ];
  return amounts.some(([of, bottom]) => {
    if (bottom === undefined) return false;
    const done = sets.map(of).filter((amount) => amount !== undefined);
    if (done.length === 0) return false;
    return done.reduce((sum, value) => sum + value, 0) < bottom * done.length - 1e-9;
  });
}
