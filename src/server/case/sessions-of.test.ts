import { expect, it } from "vitest";
import type { CaseParts } from "./case-parts";
import { sessionsOf } from "./sessions-of";

const sessionFact = (id: string): CaseParts["sessions"][number] => ({
  id,
  by: "somebody",
  at: "2026-03-10T09:00:00.000Z",
  receivedAt: "2026-03-10T09:05:00.000Z",
  painBefore: 1,
});
const setFact = (sessionId: string, itemId: string, reps: number): CaseParts["sets"][number] =>
  ({ sessionId, itemId, set: { side: "left", reps, faults: [] } }) as never;

it("a session carries its sets by exercise, in their order, and nobody's name", () => {
  const sets = [
    setFact("a", "squat", 8),
    setFact("b", "squat", 9),
    setFact("a", "hinge", 5),
    setFact("a", "squat", 7),
  ];
  expect(sessionsOf({ sessions: [sessionFact("a")], sets })).toEqual([
    {
      id: "a",
      at: "2026-03-10T09:00:00.000Z",
      receivedAt: "2026-03-10T09:05:00.000Z",
      painBefore: 1,
      items: [
        { itemId: "squat", sets: [8, 7].map((reps) => ({ side: "left", reps, faults: [] })) },
        { itemId: "hinge", sets: [{ side: "left", reps: 5, faults: [] }] },
      ],
    },
  ]);
});

it("what was made of a session stays when others come after it; with more sets of its own it is made anew", () => {
  const [first, second] = [sessionFact("a"), sessionFact("b")];
  const sets = [setFact("a", "squat", 8)];
  const before = sessionsOf({ sessions: [first], sets });
  const after = sessionsOf({ sessions: [first, second], sets: [...sets, setFact("b", "squat", 9)] });
  expect(after[0]).toBe(before[0]);
  expect(after[1]?.items[0]?.sets[0]?.reps).toBe(9);
  const more = sessionsOf({ sessions: [first], sets: [...sets, setFact("a", "squat", 6)] });
  expect(more[0]?.items[0]?.sets.map(({ reps }) => reps)).toEqual([8, 6]);
});
