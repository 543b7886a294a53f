import { describe, expect, it } from "vitest";
import { hops, squat, squeeze, stepUp } from "~tests/builders/quick-items";
import { parseQuickLine } from "./parse-quick-line";
import { quickProblemValues } from "./quick-line";
import { quickHelp, quickUnits, quickWords } from "./quick-line-grammar";
import { readQuickLine, type QuickItem } from "./read-quick-line";

const items = [squat, stepUp, squeeze, hops];

describe("what is wrong with a line", () => {
  const lines: Record<keyof typeof quickProblemValues, [line: string, current?: number, involved?: "both"]> =
    {
      unexpected: ["3x12 ?"],
      "unknown-word": ["3x12 kneel"],
      "number-needed": ["3x12 pain"],
      "out-of-range": ["3x12 pain 11"],
      twice: ["3x12 pain 1 pain 2"],
      before: ["3x12 p1 e6 before 2"],
      "side-twice": ["left 3x12; left 3x12", 1],
      "too-many-sets": ["21x12"],
      "empty-set": ["3x12 / "],
      "fault-needed": ["3x12 fault"],
      "fault-unknown": ["3x12 p1 e6 fault sway 2"],
      "fault-ambiguous": ["3x12 p1 e6 fault knee 2", 4],
      "fault-count": ["3x12 fault knee-in"],
      "limit-unknown": ["3x12 limit rust"],
      "pinch-grade": ["3x12 limit pinch"],
      "arc-backward": ["3x12 p6 depth 50 to 30"],
      "item-unknown": ["wombat: 3x12"],
      "item-ambiguous": ["s: 3x12"],
      "not-counted": ["3x10s p1 e6 20c"],
      "work-missing": ["p1 e6"],
      "pain-missing": ["3x12 e6"],
      "effort-missing": ["3x12 p1"],
      "side-shared": ["left 3x12 p1 e6"],
      "side-needed": ["3x12 p1 e6", 1, "both"],
    };
  const twoKnees: QuickItem = {
    ...squat,
    name: "Lunge",
    faults: [
      { code: "knee-in", name: "Knee drifts inward" },
      { code: "knee-out", name: "Knee drifts outward" },
    ],
  };

  it.each(Object.entries(lines))(
    "%s: carries every value that its words need",
    (code, [line, at, involved]) => {
      const reading = readQuickLine(parseQuickLine(line), [...items, twoKnees], {
        current: at ?? 0,
        involvedSide: involved ?? "left",
        end: line.length,
      });
      const problem = reading.problems.find((found) => found.code === code);
      expect(reading.problems.map((found) => found.code)).toContain(code);
      const needed = quickProblemValues[code as keyof typeof quickProblemValues];
      expect(Object.keys(problem?.values ?? {}).sort()).toEqual([...needed].sort());
    },
  );
});

describe("the help, made from the grammar", () => {
  const examples = quickHelp().flatMap((entry) => entry.examples);
  it.each(examples)("%s is understood as a line", (line) => {
    const grammar = parseQuickLine(line).problems.map(({ code }) => code);
    expect(grammar).toEqual([]);
  });
  it("leaves out no word and no unit", () => {
    const text = ` ${examples.join(" ")} `;
    for (const { word, also } of quickWords)
      expect(
        [word, ...also].some((one) => text.includes(` ${one}`)),
        word,
      ).toBe(true);
    for (const unit of Object.keys(quickUnits)) expect(text, unit).toMatch(new RegExp(`\\d${unit} `));
    for (const entry of quickHelp()) expect(entry.examples).not.toEqual([]);
  });
});
