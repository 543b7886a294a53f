import { v7 as uuid } from "uuid";
import { demoId } from "~demo/identity";
import type { SessionBody } from "~/contract/daily";

export const fencer = demoId("fencer", "episode");
export const skater = demoId("speed-skater", "episode");
export const squeezeOf = (key: string) => demoId(key, "item", "ball-squeeze");

/** The session of the worked story: five holds of 10 s at 110 N. */
export function squeezeSession(key: string, over: Partial<SessionBody> = {}, set: object = {}): SessionBody {
  return {
    id: uuid(),
    occurredAt: "2026-03-10T08:50:00.000Z",
    painBefore: 1,
    items: [
      {
        itemId: squeezeOf(key),
        sets: Array.from({ length: 5 }, () => ({
          side: "both" as const,
          holdSeconds: 10,
          forceN: 110,
          painDuring: 1,
          painSite: "episode" as const,
          effort: 6,
          faults: [],
          ...set,
        })),
      },
    ],
    ...over,
  };
}

/** A signed setting of somebody's week with these limits and nothing else out of the ordinary. */
export const circumstances = (limits: object[], kit: readonly string[] = []) => ({
  id: uuid(),
  reason: "The surgeon wrote",
  circumstances: {
    limits,
    reachesFloor: true,
    daysPerWeek: 3,
    minutesPerDay: 30,
    kit: [...kit],
    cannotPositions: [],
  },
});
