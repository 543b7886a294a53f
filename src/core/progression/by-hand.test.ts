import { describe, expect, it } from "vitest";
import { stepUpInput } from "~tests/builders/decide-input";
import type { Dose } from "~/core/dose/dose";
import type { Prescription } from "~/core/exercise/prescription";
import { byHand } from "./by-hand";

const { prescription: before } = stepUpInput();
const dosed = (dose: Partial<Dose>): Prescription => ({ ...before, dose: { ...before.dose, ...dose } });

describe("a change by hand", () => {
  it("is none where nothing differs", () => expect(byHand(before, structuredClone(before))).toBeNull());

  // Which way each goes, from what a therapist would say: common practice.
  it.each([
    ["one set more", dosed({ sets: before.dose.sets + 1 }), "harder", ["sets"]],
    ["one set fewer", dosed({ sets: before.dose.sets - 1 }), "easier", ["sets"]],
    ["less rest", dosed({ restSeconds: before.dose.restSeconds - 30 }), "harder", ["restSeconds"]],
    ["more rest", dosed({ restSeconds: before.dose.restSeconds + 30 }), "easier", ["restSeconds"]],
    ["another day", dosed({ daysPerWeek: before.dose.daysPerWeek + 1 }), "harder", ["daysPerWeek"]],
    ["twice a day", dosed({ boutsPerDay: 2 }), "harder", ["boutsPerDay"]],
    ["once a day, said", dosed({ boutsPerDay: 1 }), "other", ["boutsPerDay"]],
    ["a pause half-way up", dosed({ halfwayPauseSeconds: 2 }), "harder", ["halfwayPauseSeconds"]],
    ["a range from lower down", dosed({ reps: { bottom: 6, top: 12 } }), "easier", ["reps"]],
    ["a range that goes further", dosed({ reps: { bottom: 8, top: 15 } }), "harder", ["reps"]],
    ["a range shifted both ways", dosed({ reps: { bottom: 6, top: 15 } }), "other", ["reps"]],
    ["a first load", dosed({ loadKg: 5 }), "harder", ["load"]],
    ["heavier with fewer sets", dosed({ loadKg: 5, sets: before.dose.sets - 1 }), "other", ["load", "sets"]],
    ["a higher step", { ...before, settings: { "step-height": 20 } }, "harder", ["step-height"]],
    ["only the other leg", { ...before, leg: "other" as const }, "easier", ["leg"]],
  ])("%s", (_what, after, direction, altered) => {
    expect(byHand(before, after)).toMatchObject({
      direction,
      change: { kind: "by-hand", altered, prescription: after },
    });
  });

  it("that makes one thing harder and another easier goes neither way, and is not without something harder", () => {
    const mixed = byHand(
      before,
      dosed({ sets: before.dose.sets - 1, daysPerWeek: before.dose.daysPerWeek + 1 }),
    );
    expect(mixed).toMatchObject({ direction: "other", anyHarder: true });
  });
  it("to where a knob has nothing to be compared with may be harder, and is not called easier", () => {
    const vanished = byHand({ ...before, settings: { "step-height": 10, support: "none" } }, before);
    expect(vanished).toMatchObject({ direction: "other", anyHarder: true });
  });
  it("back from one leg to both asks more of the affected one", () => {
    expect(byHand({ ...before, leg: "other" }, before)).toMatchObject({ direction: "harder" });
    expect(byHand({ ...before, leg: "affected" }, before)).toMatchObject({ direction: "other" });
  });
});
