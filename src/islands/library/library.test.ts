import { describe, expect, it } from "vitest";
import { startingExercises } from "~/catalogue/exercises/all";
import { exerciseProblems } from "~/core/progression/exercise-problems";
import { firstPrescription, type Exercise } from "~/core/exercise/exercise";
import { doseText, doseTextProblems, withDose } from "./own-dose";
import { codeOf, draftOf, draftProblems, exerciseOf } from "./own-exercise";
import { knobChoices, turnedTo } from "./knob-values";
import { addressOf, emptyQuery, filterCount, parametersOf, queryFrom } from "./library-query";

const named = (id: string): Exercise => {
  const exercise = startingExercises.find((entry) => entry.id === id);
  if (!exercise) throw new Error(`${id} is not in the catalogue`);
  return exercise;
};
const stepUp = named("side-step-up");
const first = (exercise: Exercise) => firstPrescription(exercise.variants[0] as Exercise["variants"][number]);

describe("what the library is asked, in its address", () => {
  const asked = { ...emptyQuery, text: "knee & hip", lane: "trunk", kit: "home", lowKneeBend: true };

  it("names only what is asked, and comes back the same", () => {
    expect(addressOf(emptyQuery)).toBe("");
    expect(queryFrom(`?${addressOf(asked)}`)).toEqual(asked);
  });

  it("takes kit it does not know for any", () => {
    expect(queryFrom("kit=spaceship").kit).toBe("any");
    expect(queryFrom("kit=none").kit).toBe("none");
  });

  it("asks the endpoint for the things behind 'what is at home', and for nothing that was left open", () => {
    const parameters = new URLSearchParams(parametersOf(asked));
    expect(parameters.get("kit")?.split(",")).toContain("chair");
    expect(parameters.get("lowKneeBend")).toBe("true");
    expect([...parameters.keys()].sort()).toEqual(["kit", "lane", "lowKneeBend", "text"]);
    expect(parametersOf(emptyQuery)).toBe("");
  });

  it("counts filters, not words or order", () => {
    expect(filterCount(asked)).toBe(3);
    expect(filterCount({ ...emptyQuery, text: "squat", activity: "gluteus-medius" })).toBe(0);
  });
});

describe("knobs of a prescription", () => {
  it("are its own, each with the values of all variants, easy to hard", () => {
    const choices = knobChoices(stepUp, first(stepUp));
    const of = (name: string) => choices.find((choice) => choice.name === name);
    expect(of("step-height")?.values).toEqual([5, 10, 15, 20, 25]);
    expect(of("step-height")?.value).toBe(10);
    expect(of("support")?.values).toEqual(["two-hands", "one-hand", "fingertips", "none"]);
    expect(of("trunk")?.values).toEqual(["upright", "leaning"]);
  });

  it("a load runs in the steps of its own turn, above nothing and up to its most", () => {
    const press = named("leg-press");
    const prescription = { ...first(press), dose: { ...first(press).dose, loadKg: 20 } };
    const loads = knobChoices(press, prescription).find(({ name }) => name === "load")?.values ?? [];
    expect(loads).toContain(25);
    expect(Math.min(...loads.map(Number))).toBeGreaterThan(0);
    expect(Math.max(...loads.map(Number))).toBeLessThanOrEqual(160);
  });

  it("turned to where another variant stands it becomes that variant, and keeps the dose", () => {
    const dose = { ...first(stepUp).dose, sets: 5 };
    const turned = turnedTo(stepUp, { ...first(stepUp), dose }, "support", "none");
    expect(turned).toMatchObject({ variantId: "side-step-up-free", dose: { sets: 5 } });
    const between = turnedTo(stepUp, first(stepUp), "step-height", 20);
    expect(between).toMatchObject({ variantId: "side-step-up-held", settings: { "step-height": 20 } });
  });
});

describe("an exercise of the clinic's own", () => {
  const draft = { ...draftOf(stepUp, true), name: "  Beer-crate step, Übung 2  " };

  it("gets a code from its name: small letters, figures, hyphens", () => {
    expect(codeOf(draft.name)).toBe("beer-crate-step-ubung-2");
    expect(codeOf("***")).toBe("");
    expect(codeOf("a".repeat(80))).toHaveLength(60);
  });

  it("is whole and sound as made from another, without the activity that was measured on that one", () => {
    const made = exerciseOf(stepUp, draft, true);
    expect(exerciseProblems(made)).toEqual([]);
    expect(made).toMatchObject({
      id: "beer-crate-step-ubung-2",
      name: "Beer-crate step, Übung 2",
      drawnLike: "side-step-up",
      source: { kind: "common-practice" },
    });
    expect(made).not.toHaveProperty("activation");
    expect(made.variants.map(({ id }) => id)).toEqual([
      "beer-crate-step-ubung-2-1",
      "beer-crate-step-ubung-2-2",
      "beer-crate-step-ubung-2-3",
    ]);
  });

  it("revised keeps its ids and its activity; variants that were taken out are gone", () => {
    const revised = draftOf(stepUp, false);
    const fewer = {
      ...revised,
      variants: revised.variants.slice(0, 2),
      caution: " Mind the edge. ",
      safety: "",
    };
    const made = exerciseOf(stepUp, fewer, false);
    expect(made.id).toBe("side-step-up");
    expect(made.activation).toEqual(stepUp.activation);
    expect(made.variants.map(({ id }) => id)).toEqual(["side-step-up-held", "side-step-up-free"]);
    expect(made).toMatchObject({ caution: "Mind the edge." });
    expect(made).not.toHaveProperty("safety");
    expect(made).not.toHaveProperty("drawnLike");
  });

  it("says by field what is missing, taken or too much", () => {
    const paths = (over: Partial<typeof draft>, others: string[] = []) =>
      draftProblems({ ...draft, ...over }, others).map(({ path, problem }) => [path, problem]);
    expect(paths({})).toEqual([]);
    expect(paths({ name: " ", feltIn: "", cues: "\n" })).toEqual([
      ["/name", "missing"],
      ["/feltIn", "missing"],
      ["/cues", "missing"],
    ]);
    expect(paths({}, ["BEER CRATE STEP - ubung 2"])).toEqual([["/name", "nameTaken"]]);
    expect(paths({ cues: "a\nb\nc\nd\ne" })).toEqual([["/cues", "tooMany"]]);
    expect(paths({ variants: [] })).toEqual([["/variants", "missing"]]);
    expect(paths({ variants: [{ id: "side-step-up-held", name: " ", dose: {} }] })).toEqual([
      ["/variants/0", "missing"],
    ]);
  });
});

describe("the dose of a variant in the form", () => {
  const variant = (id: string, of: Exercise) => {
    const found = of.variants.find((entry) => entry.id === id);
    if (!found) throw new Error(`no variant ${id}`);
    return found;
  };
  const held = variant("side-step-up-held", stepUp);

  it("asks only what the dose counts, and comes back the same", () => {
    expect(Object.keys(doseText(held.dose)).sort()).toEqual([
      "daysPerWeek",
      "reps.bottom",
      "reps.top",
      "restSeconds",
      "sets",
    ]);
    for (const exercise of startingExercises)
      for (const each of exercise.variants) {
        expect(doseTextProblems(doseText(each.dose), "")).toEqual([]);
        expect(withDose(each, doseText(each.dose))).toEqual(each);
      }
  });

  it("says by field what is no number, out of range, or the wrong way round", () => {
    const problems = (over: object) =>
      doseTextProblems({ ...doseText(held.dose), ...over }, "/variants/0/dose").map(({ path }) => path);
    expect(problems({ sets: "" })).toEqual(["/variants/0/dose/sets"]);
    expect(problems({ sets: "2.5", daysPerWeek: "8" })).toEqual([
      "/variants/0/dose/sets",
      "/variants/0/dose/daysPerWeek",
    ]);
    expect(problems({ restSeconds: "-1" })).toEqual(["/variants/0/dose/restSeconds"]);
    expect(problems({ restSeconds: "0" })).toEqual([]);
    expect(problems({ "reps.bottom": "13" })).toEqual(["/variants/0/dose/reps.top"]);
    expect(doseTextProblems({ "hold.bottom": "7,5", "hold.top": "10" }, "")).toEqual([]);
  });

  it("makes the exercise that is saved, sound, with a new value among those its order turns through", () => {
    const band = named("terminal-extension");
    const draft = draftOf(band, true);
    const [first, ...rest] = draft.variants;
    if (!first) throw new Error("the exercise has variants");
    const dose = { ...first.dose, sets: "4", "reps.bottom": "8", "reps.top": "12", restSeconds: "45" };
    const made = exerciseOf(
      band,
      { ...draft, name: "Last degrees at home", variants: [{ ...first, dose }, ...rest] },
      true,
    );
    expect(exerciseProblems(made)).toEqual([]);
    const own = made.variants[0];
    expect(own?.dose).toMatchObject({ sets: 4, reps: { bottom: 8, top: 12 }, restSeconds: 45 });
    const turn = own?.turns.find(({ knob }) => knob === "reps");
    expect(turn && "ladder" in turn && turn.ladder).toEqual(["8-12", "10-15", "15-20"]);
  });
});
