import { expect, it } from "vitest";
import { countedOf, inFigures } from "./counted";

const page = { count: 347, counts: { stop: 2, hold: 300, "step-up": 45 }, countedTo: 300 };

it("a kind that was counted to its end stands in figures; one that was not, and the whole with it, as that many or more", () => {
  expect(inFigures(countedOf(page, "step-up"))).toBe("45");
  expect(inFigures(countedOf(page, "hold"))).toBe("300+");
  expect(inFigures(countedOf(page, "ease"))).toBe("0");
  expect(inFigures(countedOf(page, null))).toBe("300+");
  expect(inFigures(countedOf({ ...page, count: 1388 }, null))).toBe("1300+");
  expect(inFigures(countedOf({ ...page, counts: { stop: 47 }, count: 47 }, null))).toBe("47");
});
