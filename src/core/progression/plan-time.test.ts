import { describe, expect, it } from "vitest";
import type { Dose } from "~/core/dose/dose";
import { planPieces, type TimedItem } from "./plan-time";

const dose: Dose = {
  style: "endurance",
  policy: "hold",
  sets: 3,
  hold: { bottom: 30, top: 30 },
  restSeconds: 60,
  daysPerWeek: 3,
};
const item = (number: number | null, over: Partial<Dose> = {}): TimedItem => ({
  exercise: { sides: "both-together" },
  prescription: { variantId: "v", settings: {}, dose: { ...dose, ...over } },
  circuit: number === null ? null : { number, restSeconds: 90 },
});

// By itself: 3 × 30 s and two rests of 60 s. A circuit of two: 3 rounds × (2 × 30 s + 10 s between) and two rests of 90 s.
describe("pieces of a plan", () => {
  it("an exercise by itself has its own rests; a circuit is one piece, where its first exercise stands", () => {
    const pieces = planPieces([item(null), item(1), item(1), item(null)]);
    expect(pieces.map(({ workSeconds, restSeconds }) => [workSeconds, restSeconds])).toEqual([
      [90, 120],
      [180, 30 + 180],
      [90, 120],
    ]);
  });
  it("has as many rounds as the most sets, and two circuits are two", () => {
    const pieces = planPieces([item(1, { sets: 2 }), item(1, { sets: 4 }), item(2), item(2)]);
    expect(pieces.map(({ workSeconds }) => workSeconds)).toEqual([240, 180]);
  });
});
