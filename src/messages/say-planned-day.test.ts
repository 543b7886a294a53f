import { expect, it } from "vitest";
import { t } from "./say";
import { sayPlannedDay } from "./say-planned-day";
import { speaker } from "./speaker";

const items = ["a", "b", "c"].map((itemId) => ({ itemId }));
const date = "2026-03-10";

it("a day of the sheet is the numbers of its exercises in their order, or rest", () => {
  expect(sayPlannedDay(items, { date, items: ["c", "a"] }, { t })).toBe("1, 3");
  expect(sayPlannedDay(items, { date, items: [] }, { t })).toBe("rest");
});

it("a training parts the day, and another place than home is said, in both languages", () => {
  const day = { date, items: ["a", "b", "c"], beforeTraining: ["a"], where: "away" as const };
  expect(sayPlannedDay(items, day, { t })).toBe("1 – training – 2, 3 (away from home)");
  expect(sayPlannedDay(items, day, speaker("de"))).toBe("1 – Training – 2, 3 (unterwegs)");
  expect(sayPlannedDay(items, { date, items: ["b"], beforeTraining: [] }, { t })).toBe("training – 2");
  expect(sayPlannedDay(items, { date, items: [], beforeTraining: [] }, { t })).toBe("training");
});
