import { describe, expect, it } from "vitest";
import type { DecideInput } from "~/core/decision/record/decide-input";
import { viewRecord } from "~/core/decision/record/record-view";
import type { DayJudgement } from "~/core/response/judge-day";
import { march, stepUpInput } from "~tests/builders/decide-input";
import { monday, top } from "~tests/builders/side-steps";
import { dayConditions } from "./qualifying-day";

/** Why a day does not count, each reason by itself with its figures (the product's own rules; common practice). */

const viewOf = (over: Partial<DecideInput> = {}) => viewRecord(stepUpInput({ now: monday, ...over }));

describe("why a day does not count", () => {
  const [judged] = viewOf({ trainingDays: [top(8)] }).allDays;
  if (!judged) throw new Error("no day");
  const values = (code: string, over: Partial<DayJudgement>, input: Partial<DecideInput> = {}) => {
    const condition = dayConditions.find((one) => one.code === code);
    const worked = { ...judged, ...over };
    if (!condition?.fails(worked)) return "counts";
    const about = stepUpInput(input);
    return condition.silent?.(worked, about) ? "silent" : (condition.values?.(worked, about) ?? {});
  };

  it("sore before, and hardly more under the work; one more than that is the work's", () => {
    const sore = { during: "hold", soreStart: true, painBefore: 4 } as const;
    expect(values("sore-start", { ...sore, painDuring: 5 })).toEqual({ painBefore: 4, painDuring: 5 });
    expect(values("sore-start", { ...sore, painDuring: 6 })).toBe("counts");
    expect(values("pain-hold-band", { ...sore, painDuring: 6 })).toEqual({
      painDuring: 6,
      school: "monitored",
    });
    expect(values("pain-hold-band", { ...sore, soreStart: false, painDuring: 4 })).toMatchObject({
      painDuring: 4,
    });
    expect(values("sore-start", { ...sore, soreStart: false, painDuring: 4 })).toBe("counts");
  });

  it("too much pain under it is open until somebody answers after it has come in", () => {
    const sore = { during: "ease", painDuring: 7, arrivedAt: march(8, "10:00") } as const;
    expect(values("pain-ease-answered", sore)).toEqual({ painDuring: 7, form: "open" });
    expect(values("pain-ease-answered", sore, { answeredAt: march(8, "09:59") })).toEqual({
      painDuring: 7,
      form: "open",
    });
    expect(values("pain-ease-answered", sore, { answeredAt: march(8, "10:00") })).toEqual({ painDuring: 7 });
    expect(values("pain-ease-answered", sore, { answeredAt: march(9) })).toEqual({ painDuring: 7 });
  });

  it("the morning's reaction is told by what answered, and whether anybody has", () => {
    const bad = {
      nextDay: "ease",
      painBefore: 1,
      painNextDay: 4,
      reactionKnownAt: march(9, "06:00"),
    } as const;
    const later = { answeredAt: march(9, "07:00") };
    const plain = { ...bad, effusionUp: false, swellingMore: false, byLoadTest: false };
    const pains = { painBefore: 1, painNextDay: 4 };
    expect(values("next-day-ease-answered", plain)).toEqual({ ...pains, form: "open" });
    expect(values("next-day-ease-answered", plain, later)).toEqual(pains);
    for (const [over, kind] of [
      [{ effusionUp: true }, "effusion"],
      [{ swellingMore: true }, "swelling"],
      [{ byLoadTest: true }, "test"],
    ] as const) {
      expect(values("next-day-ease-answered", { ...plain, ...over })).toEqual({
        ...pains,
        form: `${kind}Open`,
      });
      expect(values("next-day-ease-answered", { ...plain, ...over }, later)).toEqual({
        ...pains,
        form: kind,
      });
    }
    const flare = { suspect: false, names: "Squat", on: "2026-03-09" } as const;
    expect(values("next-day-ease-answered", plain, { flare })).toBe("silent");
    expect(
      values("next-day-ease-answered", plain, { flare: { suspect: true, why: "site", on: flare.on } }),
    ).not.toBe("silent");
    expect(values("next-day-hold", { nextDay: "hold", painBefore: 2, painNextDay: null })).toEqual({
      painBefore: 2,
      painNextDay: 0,
    });
  });

  it("effort above what the policy lets is told with the cap", () => {
    expect(values("effort-above-cap", { effortWithinCap: false, effort: 9 })).toEqual({ effort: 9, cap: 8 });
    expect(values("effort-above-cap", { effortWithinCap: true })).toBe("counts");
  });

  it("work short of the top is told in its figures, unless only the force is missing", () => {
    const short = { atTop: false, easierThanPrescribed: false, forceUnread: false } as const;
    const work = {
      unit: "reps",
      leg: "left",
      done: [12, 11.96, 9],
      bottom: 8,
      top: 12,
      setsAsked: 3,
    } as const;
    expect(values("short-of-top", { ...short, work })).toEqual({
      form: "figures",
      unit: "reps",
      done: "12, 12, 9",
      asked: "8–12",
      leg: "left",
    });
    expect(values("short-of-top", { ...short, work: { ...work, bottom: 12 } })).toMatchObject({
      asked: "12",
    });
    expect(values("short-of-top", { ...short, work: { ...work, done: [12, 12] } })).toEqual({
      form: "sets",
      sets: 2,
      asked: 3,
      leg: "left",
    });
    expect(values("short-of-top", { ...short, work: { ...work, done: [] } })).toEqual({
      form: "leg",
      leg: "left",
    });
    expect(values("short-of-top", { ...short, easierThanPrescribed: true, work })).toBe("counts");
    const unread = { ...short, forceUnread: true };
    expect(values("short-of-top", { ...unread, work })).toBe("silent");
    expect(values("short-of-top", { ...unread, work: { ...work, done: [12, 12] } })).not.toBe("silent");
    expect(values("short-of-top", { ...unread, work: undefined } as Partial<DayJudgement>)).toEqual({});
  });

  it("faults by their names, the place where it should be felt, a slight pinch", () => {
    expect(
      values("marked-fault", { markedFault: true, markedFaultNames: ["knee-in", "heel-lifts"] }),
    ).toEqual({
      faults: "knee-in, heel-lifts",
    });
    expect(values("wrong-place", { wrongPlace: true })).toEqual({ feltIn: "thigh" });
    expect(values("pinch-slight", { pinchGrade: 0 })).toBe("counts");
    expect(values("pinch-slight", { pinchGrade: 1 })).toEqual({});
    expect(values("pinch-slight", { pinchGrade: 2 })).toBe("silent");
  });
});
