import { describe, expect, it } from "vitest";
import type { DecideInput, SignedChange } from "~/core/decision/record/decide-input";
import { viewRecord } from "~/core/decision/record/record-view";
import type { Dose } from "~/core/dose/dose";
import { day, exerciseWith, march, reps, stepUpInput, strength } from "~tests/builders/decide-input";
import { monday, two as good } from "~tests/builders/side-steps";
import {
  bottomTwoLower,
  kneeDrifts,
  load10Less,
  load20Less,
  oneSetFewer,
  sitBack,
  undoLastKnob,
} from "./ease-remedy";

/** Each way of making it easier by itself (the product's own rules; common practice). */

const viewOf = (over: Partial<DecideInput> = {}) => viewRecord(stepUpInput({ now: monday, ...over }));

describe("what makes it easier", () => {
  const { prescription } = stepUpInput();
  const told = (change: { knob: string; from: unknown; to: unknown } | null) =>
    change && `${change.knob} ${String(change.from)} to ${String(change.to)}`;
  const dosed = (dose: Partial<Dose>) => ({
    prescription: { ...prescription, dose: { ...strength, ...dose } },
  });

  describe("the last step undone", () => {
    const stepped = (over: Partial<SignedChange> = {}): SignedChange => ({
      at: march(4),
      direction: "harder",
      knob: "step-height",
      before: { ...prescription, settings: { "step-height": 5 } },
      ...over,
    });
    const undone = (...changes: SignedChange[]) => undoLastKnob(viewOf({ changes }));
    it("whole, to where it was before", () => {
      const load = stepped({
        before: { ...prescription, settings: { "step-height": 5 }, dose: { ...strength, sets: 2 } },
      });
      expect(undone(load)).toMatchObject({ kind: "knob", knob: "step-height", from: 10, to: 5 });
      expect(undone(load)?.prescription.dose.sets).toBe(2);
    });
    it("only where the last change was one, and it is known what was before", () => {
      expect(undone()).toBeNull();
      expect(undone(stepped(), { at: march(5), direction: "easier", knob: "sets" })).toBeNull();
      const { before: _before, ...unknown } = stepped();
      expect(undone(unknown)).toBeNull();
    });
    it("by a notch where the setting stands as before, or the knob is none of the movement's", () => {
      expect(told(undone(stepped({ before: prescription })))).toBe("step-height 10 to 5");
      expect(undone(stepped({ knob: "reach" }))).toBeNull();
      expect(undone(stepped({ knob: "no such knob" }))).toBeNull();
    });
    it("into the variant before, told by the knob that turned", () => {
      const { exercise } = stepUpInput();
      const [only] = exercise.variants;
      if (!only) throw new Error("no variant");
      const settings: typeof prescription.settings = { ...prescription.settings, support: "one-hand" };
      const free = { ...only, settings: { ...settings, support: "none" } };
      const two = { ...exercise, variants: [{ ...only, id: "held", settings }, free] };
      const held = { ...prescription, variantId: "held", settings };
      const view = (before: typeof held, knob: string) =>
        undoLastKnob(viewOf({ exercise: two, changes: [stepped({ before, knob })] }));
      expect(view({ ...held, settings: { "step-height": 5 } }, "step-height")).toMatchObject({
        kind: "variant",
        knob: "step-height",
        from: 10,
        to: 5,
        prescription: { variantId: "held" },
      });
      // The same height, but another variant: it is the variant that goes back.
      expect(view(held, "step-height")).toMatchObject({
        kind: "variant",
        prescription: { variantId: "held" },
      });
      // Nothing of the knob can be read: the variant before this one.
      expect(view(held, "support")).toMatchObject({ kind: "variant", prescription: { variantId: "held" } });
    });
  });

  it("a set fewer, never none; two repetitions lower at the bottom, without a load and above two", () => {
    expect(told(oneSetFewer(viewOf(dosed({ sets: 2 }))))).toBe("sets 2 to 1");
    expect(oneSetFewer(viewOf(dosed({ sets: 1 })))).toBeNull();
    expect(told(bottomTwoLower(viewOf()))).toBe("reps 8-12 to 6-12");
    expect(told(bottomTwoLower(viewOf(dosed({ reps: { bottom: 3, top: 12 } }))))).toBe("reps 3-12 to 1-12");
    expect(bottomTwoLower(viewOf(dosed({ reps: { bottom: 2, top: 12 } })))).toBeNull();
    expect(bottomTwoLower(viewOf(dosed({ loadKg: 5 })))).toBeNull();
    expect(told(bottomTwoLower(viewOf(dosed({ loadKg: 0 }))))).toBe("reps 8-12 to 6-12");
    const { reps: _reps, ...held } = strength;
    expect(
      bottomTwoLower(
        viewOf({ prescription: { ...prescription, dose: { ...held, hold: { bottom: 10, top: 10 } } } }),
      ),
    ).toBeNull();
  });

  it("a fifth or a tenth less load, of what has one", () => {
    const exercise = exerciseWith(
      { "step-height": 10 },
      [{ knob: "load", stepPercent: 5, incrementKg: 1, maximumKg: 100 }],
      strength,
    );
    const loaded = (loadKg: number | undefined) =>
      viewOf({ exercise, ...dosed(loadKg === undefined ? {} : { loadKg }) });
    expect(told(load20Less(loaded(50)))).toBe("load 50 to 40");
    expect(told(load10Less(loaded(50)))).toBe("load 50 to 45");
    expect(load20Less(loaded(0))).toBeNull();
    expect(load20Less(loaded(undefined))).toBeNull();
    expect(load20Less(viewOf(dosed({ loadKg: 50 })))).toBeNull();
  });

  describe("sitting back", () => {
    const { exercise } = stepUpInput();
    const [only] = exercise.variants;
    if (!only) throw new Error("no variant");
    const variant = (id: string, settings: (typeof only)["settings"]) => ({ ...only, id, settings });
    const back = (variants: (typeof only)[], settings = prescription.settings, variantId = "free") =>
      sitBack(
        viewOf({
          exercise: { ...exercise, variants },
          prescription: { ...prescription, variantId, settings },
        }),
      );
    const free = variant("free", { "step-height": 10, "knee-travel": "free" });
    const kept = variant("kept", { "step-height": 10, "knee-travel": "limited" });
    const now = { "step-height": 15, "knee-travel": "free" };
    it("an earlier variant that differs in the knee's travel alone, at the settings of now", () => {
      expect(back([kept, free], now)).toMatchObject({
        knob: "knee-travel",
        prescription: { variantId: "kept", settings: { "step-height": 15, "knee-travel": "limited" } },
      });
    });
    it("none that differs in more, comes later, or is free as well", () => {
      expect(back([variant("kept", { "step-height": 5, "knee-travel": "limited" }), free], now)).toBeNull();
      expect(
        back([variant("kept", { "step-height": 10, "knee-travel": "limited", trunk: "upright" }), free], now),
      ).toBeNull();
      expect(back([free, kept], now)).toBeNull();
      expect(back([variant("other", free.settings), free], now)).toBeNull();
      expect(back([kept, free], { ...now, "knee-travel": "limited" })).toBeNull();
    });
    it("the nearest of several", () => {
      expect(back([variant("first", kept.settings), kept, free], now)).toMatchObject({
        prescription: { variantId: "kept" },
      });
    });
  });

  it("a knee that drifts is seen in most repetitions of the last set, steers, and is not guided yet", () => {
    const drift = (fault: string, settings = prescription.settings) =>
      kneeDrifts(
        viewOf({
          trainingDays: [
            day(8, reps([12, 12, 12], { faults: [{ fault, severity: "marked", reps: "most" }] })),
          ],
          prescription: { ...prescription, settings },
        }),
      );
    expect(drift("knee-in")).toBe(true);
    expect(drift("heel-lifts")).toBe(false);
    expect(drift("knee-in", { ...prescription.settings, "knee-guide": "none" })).toBe(true);
    expect(drift("knee-in", { ...prescription.settings, "knee-guide": "band" })).toBe(false);
    expect(kneeDrifts(viewOf({ trainingDays: good }))).toBe(false);
    const other = { code: "heel-lifts", name: "Heel lifts" };
    const { exercise } = stepUpInput();
    const lifts = reps([12, 12, 12], { faults: [{ fault: "heel-lifts", severity: "marked", reps: "most" }] });
    const known = { ...exercise, faults: [...exercise.faults, other] };
    expect(kneeDrifts(viewOf({ exercise: known, trainingDays: [day(8, lifts)] }))).toBe(false);
  });
});
