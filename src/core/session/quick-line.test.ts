import { strength } from "~tests/builders/decide-input";
import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { hops, squat, squeeze, stepUp } from "~tests/builders/quick-items";
import { completeQuickLine } from "./complete-quick-line";
import { parseQuickLine } from "./parse-quick-line";
import { printQuickLine } from "./print-quick-line";
import { quickWords } from "./quick-line-grammar";
import { readQuickLine, type QuickItem } from "./read-quick-line";

const items = [squat, stepUp, squeeze, hops];
const read = (text: string, current = 0, involvedSide: "left" | "right" | "both" = "left") =>
  readQuickLine(parseQuickLine(text), items, { current, involvedSide, end: text.length });
const codes = (text: string, current = 0) => read(text, current).problems.map(({ code }) => code);

describe("what a line says", () => {
  it("sets × reps, load, pain, effort", () => {
    const { sets, problems, item } = read("3x12 20kg p2 e7");
    expect(problems).toEqual([]);
    expect(item).toBe(0);
    expect(sets).toHaveLength(3);
    expect(sets[2]).toEqual({
      side: "both",
      reps: 12,
      loadKg: 20,
      painDuring: 2,
      painSite: "episode",
      effort: 7,
      faults: [],
    });
  });
  it.each([
    ["before 2", 2, 0],
    ["b0; 3x12 p1 e6", 0, 1],
    [" Before 10 squat: 3x12 p1 e6", 10, 1],
    ["3x12 p1 e6", null, 1],
  ])("the pain before the session begins a line: %s", (text, painBefore, parts) => {
    const line = parseQuickLine(text);
    expect(line).toMatchObject({ painBefore, problems: [] });
    expect(line.parts).toHaveLength(parts);
  });
  it.each(["before 11", "b 2.5; 3x12 p1 e6", "before", "3x12 p1 e6 before 2"])(
    "and nothing else: %s",
    (text) => {
      const { painBefore, problems } = parseQuickLine(text);
      expect(painBefore).toBeNull();
      expect(problems.map(({ code }) => code)).toContain("before");
    },
  );
  it("an exercise that is named after it is found where it stands", () => {
    expect(parseQuickLine("b3; squat: 3x12 p1 e6").item).toEqual({ text: "squat", at: 4 });
  });

  it("pounds are read and kept as kilograms", () => {
    expect(read("3x12 45lb p2 e7").sets).toEqual(read("3x12 20.41kg p2 e7").sets);
    expect(read("12 1200 lb p1 e6").problems).toHaveLength(1);
  });

  it.each(["3×12 20kg pain 2 effort 7", "3 x 12 e7 20 kg p 2", "3*12 p2 20kg e7"])(
    "the same in other spellings: %s",
    (text) => {
      expect(read(text).sets).toEqual(read("3x12 20kg p2 e7").sets);
    },
  );
  it("one leg alone is that leg's line, with nothing for the other", () => {
    const alone: QuickItem = { ...stepUp, sides: "one-side", only: "right" };
    const { sets, problems, matched } = readQuickLine(parseQuickLine("2x12 p1 e6"), [alone], {
      current: 0,
      involvedSide: "left",
      end: 10,
    });
    expect([problems, matched]).toEqual([[], false]);
    expect(sets.map(({ side }) => side)).toEqual(["right", "right"]);
  });
  it("sets that differ; what is not said anew holds on, repetitions and faults do not", () => {
    const { sets } = read("12 20kg p1 e6 / 12 e7 / 10 p3 e8 fault knee-in 4");
    expect(sets.map(({ reps, loadKg, painDuring, effort }) => [reps, loadKg, painDuring, effort])).toEqual([
      [12, 20, 1, 6],
      [12, 20, 1, 7],
      [10, 20, 3, 8],
    ]);
    expect(sets.map((set) => set.faults.length)).toEqual([0, 0, 1]);
  });
  it("without a side, the other side matched the involved one, without its pain and faults", () => {
    const { sets, matched } = read("side: 2x10 p3 e7 fault knee most");
    expect(matched).toBe(true);
    expect(
      sets.map(({ side, reps, painDuring, faults: seen }) => [side, reps, painDuring, seen.length]),
    ).toEqual([
      ["left", 10, 3, 1],
      ["right", 10, 0, 0],
      ["left", 10, 3, 1],
      ["right", 10, 0, 0],
    ]);
  });
  it("a load, and the hold within repetitions, that nobody says are the plan's, and the reading says so", () => {
    const lift: QuickItem = { ...stepUp, dose: { ...strength, loadKg: 4, hold: { bottom: 2, top: 3 } } };
    const reading = (text: string) =>
      readQuickLine(parseQuickLine(text), [lift], { current: 0, involvedSide: "left", end: text.length });
    const unsaid = reading("3x12 p0 e6");
    expect(unsaid.asPlanned).toEqual(["hold", "load"]);
    expect(unsaid.sets[0]).toMatchObject({ reps: 12, holdSeconds: 3, loadKg: 4 });
    const said = reading("3x12 0kg hold 1 p0 e6");
    expect(said.asPlanned).toEqual([]);
    expect(said.sets[0]).toMatchObject({ reps: 12, holdSeconds: 1, loadKg: 0 });
    expect(read("ball: 5x10s p0 e6").asPlanned).toEqual([]);
  });
  it("a fault that the exercise does not have is pointed at by its own word", () => {
    const text = "3x12 p0 e6 / 12 e7 fault wobbles 2";
    const [problem] = read(text).problems;
    expect(problem?.code).toBe("fault-unknown");
    expect(text.slice(problem?.at, (problem?.at ?? 0) + (problem?.length ?? 0))).toBe("wobbles");
  });
  it("each side as it was said", () => {
    const { sets, matched } = read("right 2x12 p0 e6; left 2x8 p2 e8", 1);
    expect(matched).toBe(false);
    expect(sets.map(({ side, reps }) => `${side} ${reps}`)).toEqual([
      "right 12",
      "right 12",
      "left 8",
      "left 8",
    ]);
  });
  it("seconds, newtons and half points of effort, with a decimal comma", () => {
    expect(read("ball: 5x10s 110n p1 e6,5").sets[4]).toMatchObject({
      holdSeconds: 10,
      forceN: 110,
      effort: 6.5,
    });
  });
  it("contacts, a pinch with its grade, how sure, soreness of the muscle", () => {
    const { sets } = read("hop: left 2x25c p6 muscle e5 limit pinch 1 sure 4");
    expect(sets[0]).toMatchObject({
      contacts: 25,
      painDuring: 6,
      painSite: "muscle",
      limit: { kind: "pinch", pinchGrade: 1 },
      confidence: 4,
    });
  });
  it("a fault by the beginning of its name, its phase, and a slight one", () => {
    const { sets } = read("3x12 p0 e6 fault heels bottom some slight knee 2");
    expect(sets[0]?.faults).toEqual([
      { fault: "heels-up", severity: "marked", reps: "some", phase: "bottom" },
      { fault: "knee-in", severity: "slight", reps: 2 },
    ]);
  });
  it.each([
    ["p6 depth", { painWith: "depth" }],
    ["p6 depth 70", { painWith: "depth", painArc: { fromDeg: 70 } }],
    ["p6 depth 30 to 50", { painWith: "depth", painArc: { fromDeg: 30, toDeg: 50 } }],
    ["p6 heavy", { painWith: "effort" }],
    ["p6 down", { painWith: "down" }],
    ["p6 up", { painWith: "up" }],
    ["p6 after", { painWith: "after" }],
    ["p6 anyhow", { painWith: "none" }],
  ])("what the pain came with: %s", (said, felt) => {
    const { sets, problems } = read(`3x12 ${said} e7`);
    expect(problems).toEqual([]);
    expect(sets[0]).toMatchObject({ reps: 12, painDuring: 6, ...felt });
  });
  it("what a pain came with goes with it, until a pain is said anew; the other side did not feel it", () => {
    const { sets } = read("12 p6 depth 70 e7 / 12 / 12 p2", 0);
    expect(sets.map(({ painWith }) => painWith)).toEqual(["depth", "depth", undefined]);
    const [left, right] = read("2: 1x12 p6 heavy e7").sets;
    expect([left?.painWith, right?.painWith]).toEqual(["effort", undefined]);
  });
  it("an exercise by its number or by part of its name", () => {
    expect(read("2: 3x12 p0 e6").item).toBe(1);
    expect(read("step: 3x12 p0 e6").item).toBe(1);
    expect(read("BALL SQUEEZE: 5x10s p0 e6").item).toBe(2);
  });
});

describe("what it does not understand, it points at", () => {
  it.each([
    ["an unknown word", "3x12 p2 wobble e7", "unknown-word", 8],
    ["a sign that means nothing", "3x12 @ p2 e7", "unexpected", 5],
    ["pain above 10", "3x12 p11 e7", "out-of-range", 6],
    ["pain is whole", "3x12 p2.5 e7", "out-of-range", 6],
    ["effort in thirds", "3x12 p2 e7.3", "out-of-range", 9],
    ["pain without a number", "3x12 pain e7", "number-needed", 5],
    ["pain said twice", "3x12 p2 p3 e7", "twice", 9],
    ["two amounts of repetitions", "3x12 10 p2 e7", "twice", 5],
    ["two counts of one set", "2x12 3x5s p2 e7", "twice", 5],
    ["sixty sets", "60x12 p2 e7", "too-many-sets", 0],
    ["half a set", "2.5x12 p2 e7", "too-many-sets", 0],
    ["an empty set", "12 p2 e7 / / 10", "empty-set", 11],
    ["one side twice", "left 12 p1 e6; left 10 p1 e6", "side-twice", 15],
    ["a side in the middle", "12 left p1 e6", "unexpected", 3],
    ["an angle beyond a joint's", "3x12 p6 depth 170 e7", "out-of-range", 14],
    ["an angle that ends before it begins", "3x12 p6 depth 50 to 30 e7", "arc-backward", 20],
    ["two patterns of one pain", "3x12 p6 down up e7", "twice", 13],
    ["a limit that is none", "3x12 p2 e7 limit door", "limit-unknown", 17],
    ["a pinch without a grade", "3x12 p2 e7 limit pinch", "pinch-grade", 17],
    ["a fault without its repetitions", "3x12 p2 e7 fault knee-in", "fault-count", 17],
    ["an exercise that is not there", "bridge: 3x12 p2 e7", "item-unknown", 0],
    ["an exercise that could be two", "s: 3x12 p2 e7", "item-ambiguous", 0],
  ])("%s", (_what, text, code, at) => {
    const { problems, sets } = read(text);
    expect(problems[0]).toMatchObject({ code, at });
    expect(sets).toEqual([]);
  });

  it.each([
    ["no pain", "3x12 e7", ["pain-missing"], 0],
    ["no effort", "3x12 p2", ["effort-missing"], 0],
    ["a bare number where seconds are counted", "5x10 p1 e6", ["not-counted", "work-missing"], 2],
    ["seconds where repetitions are counted", "3x12s p1 e6", ["work-missing", "not-counted"], 0],
    ["a fault that this exercise does not have", "3x12 p1 e6 fault sway 2", ["fault-unknown"], 0],
    ["a side where the legs share the work", "left 3x12 p1 e6", ["side-shared"], 0],
  ])("%s", (_what, text, expected, current) => {
    expect(codes(text, current)).toEqual(expected);
  });
  it("with both sides injured it asks which", () => {
    const problems = read("3x12 p1 e6", 1, "both").problems;
    expect(problems.map(({ code }) => code)).toEqual(["side-needed"]);
  });
});

const piece = fc.oneof(
  fc.constantFrom(...quickWords.flatMap(({ word, also }) => [word, ...also])),
  fc.constantFrom(
    "x",
    "/",
    ";",
    ":",
    "s",
    "kg",
    "n",
    "c",
    "min",
    "knee-in",
    "pinch",
    "most",
    "3x12",
    "p2",
    "e7",
    "5x10s",
  ),
  fc.integer({ min: 0, max: 300 }).map(String),
  fc.string({ maxLength: 4 }),
);
const anyLine = fc.oneof(
  fc.array(piece, { maxLength: 14 }).map((pieces) => pieces.join(" ")),
  fc.string({ maxLength: 60, unit: "binary" }),
);

describe("laws of the parser", () => {
  it("random text never throws, and every problem lies within it", () => {
    fc.assert(
      fc.property(anyLine, (text) => {
        for (const { at, length } of read(text).problems) {
          expect(at).toBeGreaterThanOrEqual(0);
          expect(at + length).toBeLessThanOrEqual(Math.max(text.length, at + 1));
        }
        completeQuickLine(text, items, 0);
      }),
      { numRuns: 3000 },
    );
  });
  it("a capital whose small form is two signs moves no place (found by the law above)", () => {
    const [first] = read("İ").problems;
    expect(first).toMatchObject({ at: 0, length: 1 });
    expect(read("İ 3x12 ŁĄ").problems).toContainEqual(expect.objectContaining({ at: 7, length: 2 }));
  });
  it("what is printed parses to the same, without a problem, and prints the same again", () => {
    let nonEmpty = 0;
    fc.assert(
      fc.property(anyLine, (text) => {
        const printed = printQuickLine(parseQuickLine(text));
        const again = parseQuickLine(printed);
        if (again.parts.length > 0) nonEmpty += 1;
        expect(again.parts).toEqual(parseQuickLine(text).parts);
        expect(printQuickLine(again)).toBe(printed);
      }),
      { numRuns: 3000 },
    );
    expect(nonEmpty).toBeGreaterThan(300);
  });
});

it("completes names, words, faults and limits", () => {
  const lines = (text: string) => completeQuickLine(text, items, 0).map(({ line }) => line);
  expect(lines("squ")).toEqual(["Two-leg squat: ", "Ball squeeze: "]);
  expect(lines("3x12 pa")).toEqual(["3x12 pain "]);
  expect(lines("3x12 fault ")).toEqual(["3x12 fault knee-in ", "3x12 fault heels-up "]);
  expect(lines("3x12 limit pi")).toEqual(["3x12 limit pinch "]);
  expect(lines("3x12")).toEqual([]);
});
