import { describe, expect, it } from "vitest";
import { readDoseLine } from "./dose-line";
import type { DoseLineContext, DoseLineTurns } from "./dose-term";

const words: DoseLineContext["words"] = [
  { knob: "trunk", value: "upright", label: "trunk", said: "upright" },
  { knob: "trunk", value: "leaning", label: "trunk", said: "leaning" },
  { knob: "raised", value: "heels", label: "raised", said: "heels" },
  { knob: "raised", value: "front-foot", label: "raised", said: "front foot" },
  { knob: "raised", value: "rear-foot", label: "raised", said: "rear foot" },
  { knob: "support", value: "two-hands", label: "support", said: "two hands" },
  { knob: "support", value: "one-hand", label: "support", said: "one hand" },
  { knob: "support", value: "none", label: "support", said: "none" },
  { knob: "assistance", value: "none", label: "help", said: "none" },
  { knob: "sit-back-at", value: "45", label: "sit back from", said: "45°" },
  { knob: "stance-length", value: "long", label: "stance", said: "long" },
];
const context = (
  style: DoseLineContext["prescription"]["dose"]["style"] = "strength",
  settings: DoseLineContext["prescription"]["settings"] = {},
): DoseLineContext => ({ prescription: { settings, dose: { style } }, words, involvedSide: "right" });

/** What a line is read as, wholly. */
const turns = (line: string, about: DoseLineContext = context()): DoseLineTurns => {
  const { turns: read, problems } = readDoseLine(line, about);
  expect(problems).toEqual([]);
  return read;
};
const problems = (line: string, about: DoseLineContext = context()) => readDoseLine(line, about).problems;
const reps = (bottom: number, top = bottom) => ({ bottom, top });

describe("the amount of work", () => {
  it.each<[string, DoseLineTurns]>([
    ["3x12", { dose: { sets: 3, reps: reps(12) } }],
    ["3 × 8–12", { dose: { sets: 3, reps: reps(8, 12) } }],
    ["3 x 8 to 12 reps", { dose: { sets: 3, reps: reps(8, 12) } }],
    ["4 sets 6-8 reps", { dose: { sets: 4, reps: reps(6, 8) } }],
    ["15rm", { dose: { reps: reps(15) } }],
    ["", {}],
    [" , and ", {}],
  ])("'%s' of repetitions", (line, expected) => expect(turns(line)).toEqual(expected));

  it.each<[string, Parameters<typeof context>[0], DoseLineTurns]>([
    ["5x45s", "isometric-tendon", { dose: { sets: 5, hold: reps(45) } }],
    ["5 x 10", "squeeze", { dose: { sets: 5, hold: reps(10) } }],
    ["2x15 held 3 s", "control", { dose: { sets: 2, reps: reps(15), hold: reps(3) } }],
    ["hold 5-10", "control", { dose: { hold: reps(5, 10) } }],
    ["10 seconds", "control", { dose: { hold: reps(10) } }],
  ])("'%s' held, as %s counts it", (line, style, expected) =>
    expect(turns(line, context(style))).toEqual(expected),
  );

  it("of a number alone is in what is counted by now", () => {
    const balance = { settings: {}, dose: { style: "balance", hold: reps(3) } } as const;
    expect(turns("3x8", { ...context(), prescription: balance })).toEqual({
      dose: { sets: 3, hold: reps(8) },
    });
    const counted = { ...balance, dose: { ...balance.dose, reps: reps(6, 10) } };
    expect(turns("3x8", { ...context(), prescription: counted })).toEqual({
      dose: { sets: 3, reps: reps(8) },
    });
  });

  it("does not take seconds for repetitions, nor contacts where none are counted", () => {
    expect(problems("3x10s")).toMatchObject([{ kind: "unknown", at: 0 }]);
    expect(problems("3x30 contacts").map(({ text }) => text)).toEqual(["3x30", "contacts"]);
  });
});

describe("the rest of a dose", () => {
  it.each<[string, DoseLineTurns]>([
    ["20kg", { dose: { loadKg: 20 } }],
    ["2,5 kg", { dose: { loadKg: 2.5 } }],
    ["45lb", { dose: { loadKg: 20.41 } }],
    ["10 pounds", { dose: { loadKg: 4.54 } }],
    ["3-0-1-0", { dose: { tempo: "3-0-1-0" } }],
    ["tempo 2020", { dose: { tempo: "2-0-2-0" } }],
    ["3010", { dose: { tempo: "3-0-1-0" } }],
    ["halfway 1", { dose: { halfwayPauseSeconds: 1 } }],
    ["rest 90", { dose: { restSeconds: 90 } }],
    ["90 s rest", { dose: { restSeconds: 90 } }],
    ["2 min rest", { dose: { restSeconds: 120 } }],
    ["rest 2min", { dose: { restSeconds: 120 } }],
    ["rest 2 min", { dose: { restSeconds: 120 } }],
    ["rest 90 s", { dose: { restSeconds: 90 } }],
    ["3/week", { dose: { daysPerWeek: 3 } }],
    ["3x a week", { dose: { daysPerWeek: 3 } }],
    ["twice a week", { dose: { daysPerWeek: 2 } }],
    ["4 days", { dose: { daysPerWeek: 4 } }],
    ["daily", { dose: { daysPerWeek: 7 } }],
    ["5/day", { dose: { boutsPerDay: 5 } }],
    ["once a day", { dose: { boutsPerDay: 1 } }],
  ])("'%s'", (line, expected) => expect(turns(line)).toEqual(expected));

  it("takes per cent as effort of a hold, and as speed of what has one", () => {
    expect(turns("50-70%", context("squeeze", { contraction: "isometric" }))).toEqual({
      dose: { effort: { lowPercent: 50, highPercent: 70 } },
    });
    expect(turns("80 %", context("strength", { speed: 70 }))).toEqual({ settings: { speed: 80 } });
    expect(problems("80%")).toMatchObject([{ kind: "unknown" }]);
  });

  it("says what an exercise is for only where that is asked", () => {
    expect(turns("primer", { ...context(), takesRole: true })).toEqual({ role: "primer" });
    expect(problems("primer")).toMatchObject([{ kind: "unknown" }]);
  });

  it("takes newtons only where a band is dosed", () => {
    const banded = context();
    expect(
      turns("60N", { ...banded, prescription: { settings: {}, dose: { style: "strength", bandN: 40 } } }),
    ).toEqual({
      dose: { bandN: 60 },
    });
    expect(problems("60N")).toMatchObject([{ kind: "unknown" }]);
  });
});

describe("settings of the movement", () => {
  it("gives a number to the one setting of its unit, and asks for a name where there are two", () => {
    expect(turns("15cm", context("strength", { "step-height": 10 }))).toEqual({
      settings: { "step-height": 15 },
    });
    expect(turns("75°", context("strength", { "knee-angle": 60 }))).toEqual({
      settings: { "knee-angle": 75 },
    });
    const two = context("strength", { "knee-angle": 60, "hip-angle": 40, trunk: "upright" });
    expect(problems("75°", two)).toMatchObject([{ kind: "several", among: ["knee angle", "hip angle"] }]);
    expect(turns("hip 45 deg", two)).toEqual({ settings: { "hip-angle": 45 } });
    expect(problems("15cm", two)).toMatchObject([{ kind: "unknown", text: "15cm" }]);
  });

  it("reads an arc as it is said", () => {
    expect(turns("90-45°", context("strength", { arc: "90-60" }))).toEqual({ settings: { arc: "90-45" } });
  });

  it.each<[string, DoseLineTurns]>([
    ["lean", { settings: { trunk: "leaning" } }],
    ["heels", { settings: { raised: "heels" } }],
    ["front foot", { settings: { raised: "front-foot" } }],
    ["two hands", { settings: { support: "two-hands" } }],
    ["support none", { settings: { support: "none" } }],
    ["sit back 45", { settings: { "sit-back-at": "45" } }],
    ["long stance 2x10", { settings: { "stance-length": "long" }, dose: { sets: 2, reps: reps(10) } }],
  ])("'%s' by its beginnings", (line, expected) => expect(turns(line)).toEqual(expected));

  it("names what a word could mean, and never guesses", () => {
    expect(problems("foot")).toEqual([
      { kind: "several", at: 0, text: "foot", among: ["raised front foot", "raised rear foot"] },
    ]);
    expect(problems("none")).toMatchObject([{ kind: "several", among: ["support none", "help none"] }]);
  });

  it("does not take the name of a setting alone for where it stands", () => {
    expect(problems("trunk")).toMatchObject([{ kind: "unknown", text: "trunk" }]);
  });
});

describe("the leg", () => {
  it("is the one that was hurt or the other, and each in turn", () => {
    expect(turns("right")).toEqual({ leg: "affected" });
    expect(turns("left")).toEqual({ leg: "other" });
    expect(turns("3x8 R")).toEqual({ dose: { sets: 3, reps: reps(8) }, leg: "affected" });
    expect(turns("each leg")).toEqual({ leg: null });
    expect(problems("left", { ...context(), involvedSide: "both" })).toMatchObject([{ kind: "unknown" }]);
  });
});

describe("a whole line", () => {
  it("is read in any order", () => {
    const about = context("strength", { "step-height": 10 });
    const expected = {
      settings: { "step-height": 15, trunk: "leaning" },
      dose: { sets: 3, reps: reps(8), tempo: "2-0-2-0", loadKg: 5 },
      leg: "affected",
    };
    expect(turns("3x8 15cm leaning right 2020 5kg", about)).toEqual(expected);
    expect(turns("right, 5 kg, leaning, on 15 cm and 2-0-2-0, 3 x 8", about)).toEqual(expected);
  });

  it("names what it does not know, where it stands, and reads the rest", () => {
    const { turns: read, problems: found } = readDoseLine("3x8 wobbly 20kg", context());
    expect(read).toEqual({ dose: { sets: 3, reps: reps(8), loadKg: 20 } });
    expect(found).toEqual([{ kind: "unknown", at: 4, text: "wobbly" }]);
  });

  it("does not take the same thing twice", () => {
    expect(readDoseLine("20kg 25kg", context())).toEqual({
      turns: { dose: { loadKg: 20 } },
      problems: [{ kind: "twice", at: 5, text: "25kg" }],
    });
  });

  it("says nothing of a number without a unit", () => {
    expect(problems("20")).toEqual([{ kind: "unknown", at: 0, text: "20" }]);
    expect(problems("3x")).toEqual([{ kind: "unknown", at: 0, text: "3x" }]);
  });

  it("reads any text to its end", () => {
    for (const line of [
      "%%%%",
      "3x3x3",
      "\u{1f600} 3x8",
      "°",
      "--",
      "x".repeat(5000),
      "3 x",
      "20 kgs",
      "tempo",
    ])
      expect(() => readDoseLine(line, context())).not.toThrow();
  });
});
