import { expect, it } from "vitest";
import { doseMinutes } from "./dose-minutes";
import { doseStyle } from "./dose-style";
import { planMinutes } from "./plan-minutes";

const squeeze = { minutes: 3, workSeconds: 60, restSeconds: 120, contacts: 0 };
const hops = { minutes: 2, workSeconds: 20, restSeconds: 100, contacts: 40 };

it("sums the items, and half a minute from one to the next", () => {
  expect(planMinutes([squeeze, hops, hops])).toEqual({
    minutes: 8,
    workSeconds: 100,
    restSeconds: 380,
    contacts: 80,
  });
});
it("one item is followed by nothing", () => {
  expect(planMinutes([squeeze])).toEqual(squeeze);
});
it("nothing takes no time", () => {
  expect(planMinutes([])).toEqual({ minutes: 0, workSeconds: 0, restSeconds: 0, contacts: 0 });
});
it("a run of minutes takes its minutes, with the rests between", () => {
  const dose = {
    ...doseStyle("running").usual,
    style: "running" as const,
    sets: 4,
    minutes: 1.5,
    restSeconds: 60,
  };
  expect(doseMinutes({ dose, sides: "both-together" })).toEqual({
    minutes: 9,
    workSeconds: 360,
    restSeconds: 180,
    contacts: 0,
  });
});
