import { amountKeys, type AmountKey, type Amounts } from "./amounts";

/** An amount that nobody would expect after what was done before. */
export interface DoseJump {
  readonly key: AmountKey;
  readonly now: number;
  /** The most done before; for a first load, the body mass. */
  readonly before: number;
  readonly against: "done" | "body";
  /** More than any clinic writes: refused. Otherwise it is asked whether it is meant. */
  readonly beyond: boolean;
}

const factor = 2;
const loadStepKg = 2;
const bodyFactor = { ask: 2, most: 5 } as const;

/**
 * What of typed amounts is more than twice what was done before (of loads, and more than 2 kg more), or a first load above
 * twice the body mass: asked about before it is kept. A load above five times the body mass is refused.
 *
 * @param now the amounts typed
 * @param before the most that was prescribed or done before; what is not known is left out
 * @param massKg kilograms, as measured last or as is usual for the height
 * @returns jumps in the order of `amountKeys`; empty when nothing stands out
 * @example doseJumps({ loadKg: 21 }, { loadKg: 10 }, 70) // [{ key: "loadKg", now: 21, before: 10, against: "done", beyond: false }]
 * Source: common practice; the tenth and the 2 kg bound the engine's own steps, not a clinician's hand.
 */
export function doseJumps(now: Amounts, before: Amounts, massKg: number): DoseJump[] {
  return amountKeys.flatMap((key): DoseJump[] => {
    const value = now[key] ?? 0;
    const done = before[key] ?? 0;
    const isLoad = key === "loadKg";
    if (isLoad && value > bodyFactor.most * massKg)
      return [{ key, now: value, before: massKg, against: "body", beyond: true }];
    if (done > 0) {
      const isMore = value > factor * done && (!isLoad || value - done > loadStepKg);
      return isMore ? [{ key, now: value, before: done, against: "done", beyond: false }] : [];
    }
    return isLoad && value > bodyFactor.ask * massKg
      ? [{ key, now: value, before: massKg, against: "body", beyond: false }]
      : [];
  });
}
