import { describe, expect, it } from "vitest";
import type { DecideInput, SignedChange } from "~/core/decision/record/decide-input";
import { viewRecord } from "~/core/decision/record/record-view";
import type { Dose } from "~/core/dose/dose";
import type { Restriction } from "~/core/limit/restriction";
import { day, exerciseWith, march, reps, stepUpInput, strength } from "~tests/builders/decide-input";
import { monday, top, two as good } from "~tests/builders/side-steps";
import { closesLane, stepConditions } from "./step-condition";

/** Why nothing gets harder yet, each reason by itself with its figures (the product's own rules; common practice). */

const viewOf = (over: Partial<DecideInput> = {}) => viewRecord(stepUpInput({ now: monday, ...over }));

/** What one condition says of a record: its evidence with the values, and how far off it is. */
const unmet = (code: string, over: Partial<DecideInput> = {}) =>
  (stepConditions.find((one) => one.code === code)?.unmet(viewOf(over)) ?? []).map(
    ({ evidence, nearestDays }) => [evidence.code, evidence.values, nearestDays] as const,
  );

const spring: Dose = {
  style: "plyometric",
  policy: "contacts",
  sets: 1,
  contacts: { bottom: 20, top: 20 },
  restSeconds: 60,
  daysPerWeek: 2,
};

describe("why nothing gets harder yet", () => {
  it("too few good days, and how long the rest of them take at the usual two days a session", () => {
    expect(unmet("run")).toMatchObject([["no-session", {}, 1]]);
    expect(unmet("run", { trainingDays: [top(8)] })).toEqual([["run-too-short", { have: 1, need: 2 }, 2]]);
    expect(unmet("run", { trainingDays: good })).toEqual([]);
    const poorLately = [top(1), top(2), day(5, reps([9, 9, 9])), day(8, reps([9, 9, 9]))];
    const told = unmet("run", { trainingDays: poorLately, prescribedAt: "2026-02-20T08:00:00Z" });
    // Of the days before the last two nothing is said.
    expect(told.map(([code]) => code)).toEqual(["short-of-top", "short-of-top", "run-too-short"]);
    expect(told.at(-1)).toEqual(["run-too-short", { have: 0, need: 2 }, 4]);
  });

  it("a report that may still come is not far off; what was short is a session away", () => {
    const told = unmet("run", { trainingDays: [top(5), day(8, reps([12, 12, 9]), { next: null })] });
    expect(told.map(([code, , near]) => [code, near])).toEqual([
      ["open-day", 0],
      ["short-of-top", 2],
      ["run-too-short", 2],
    ]);
  });

  it("eight days without a session, and so long away that it begins anew", () => {
    const last = { trainingDays: good };
    expect(unmet("recent", { ...last, now: march(15) })).toEqual([]);
    expect(unmet("recent", { ...last, now: march(16) })).toEqual([["stale", { days: 8, limit: 7 }, 1]]);
    expect(unmet("recent", { ...last, now: march(22) })).toMatchObject([["stale", { days: 14 }, 1]]);
    expect(unmet("recent", { ...last, now: "2026-04-20T09:00:00Z" })).toEqual([]);
    expect(unmet("rebaseline", { ...last, now: march(22) })).toEqual([]);
    expect(unmet("rebaseline", { ...last, now: "2026-04-20T09:00:00Z" })).toMatchObject([
      ["rebaseline", {}, -1],
    ]);
    expect(unmet("recent")).toEqual([]);
  });

  it("a dose settles so many whole days and sessions", () => {
    const prescribed = { prescribedAt: march(8, "08:00") };
    expect(unmet("settling", { ...prescribed, trainingDays: [top(8)] })).toEqual([
      ["settling", { daysLeft: 2, settlingDays: 3, until: "2026-03-11" }, 2],
    ]);
    expect(unmet("settling", { ...prescribed, now: march(11), trainingDays: [top(8)] })).toEqual([]);
    const running = {
      prescription: { ...stepUpInput().prescription, dose: { ...strength, policy: "running" as const } },
    };
    expect(unmet("settling", { ...prescribed, ...running, now: march(12), trainingDays: [top(9)] })).toEqual([
      ["settling-days", { sessionsLeft: 1 }, 2],
    ]);
    expect(unmet("settling", { ...prescribed, ...running, now: march(12) })).toEqual([
      ["settling-days", { sessionsLeft: 2 }, 4],
    ]);
  });

  it("contacts settle from a change on, the first prescription does not", () => {
    const { prescription } = stepUpInput();
    const springs = { prescription: { ...prescription, dose: spring }, prescribedAt: march(8, "08:00") };
    const change = (direction: SignedChange["direction"]): SignedChange => ({
      at: march(8, "08:00"),
      direction,
      knob: "contacts",
    });
    const days = (changes: SignedChange[]) =>
      unmet("settling", { ...springs, changes }).flatMap(([code, values]) =>
        code === "settling" ? [values] : [],
      );
    expect(days([])).toEqual([]);
    expect(days([change("other")])).toEqual([]);
    expect(days([change("harder")])).toMatchObject([{ settlingDays: 7, daysLeft: 6 }]);
  });

  it("too little of what was asked was done, at seventy per cent", () => {
    expect(unmet("adherence", { laneAdherencePercent: 70 })).toEqual([]);
    expect(unmet("adherence", { laneAdherencePercent: 69.9 })).toEqual([
      ["adherence", { percent: 69, needed: 70 }, 7],
    ]);
    expect(unmet("adherence")).toEqual([]);
  });

  it("as many steps as a week takes, those of the queue counted in", () => {
    const budget = (used: number, ahead?: number) =>
      unmet("budget", { changeBudget: { limit: 2, used, ...(ahead === undefined ? {} : { ahead }) } });
    expect(budget(1)).toEqual([]);
    expect(budget(2)).toEqual([["change-budget", { limit: 2, used: 2, ahead: 0 }, 4]]);
    expect(budget(1, 1)).toEqual([["change-budget", { limit: 2, used: 1, ahead: 1 }, 4]]);
  });

  it("what was refused is not put again until there is something new", () => {
    const left = (leftAsIsAt: string) => unmet("answered", { trainingDays: good, leftAsIsAt });
    expect(left(march(9, "08:00"))).toEqual([["answered", { on: "2026-03-09" }, 2]]);
    // The report of the second day came at half past six.
    expect(left(march(9, "06:00"))).toEqual([]);
    expect(unmet("answered", { trainingDays: good })).toEqual([]);
    expect(unmet("answered", { leftAsIsAt: march(9, "08:00") })).toHaveLength(1);
  });

  it("landings of the plan, against the most of a day", () => {
    const exercise = exerciseWith(
      { "step-height": 10 },
      [{ knob: "contacts", ladder: ["20-20", "30-30"] }],
      strength,
    );
    const springs = { exercise, prescription: { ...stepUpInput().prescription, dose: spring } };
    const own = unmet("plan-contacts", { ...springs, contacts: { elsewhere: 1000, most: 1 } });
    expect(own).toHaveLength(1);
    const now = Number(own[0]?.[1].now) - 1000;
    expect(now).toBeGreaterThan(0);
    expect(unmet("plan-contacts", { ...springs, contacts: { elsewhere: 40, most: 40 + now } })).toEqual([]);
    expect(unmet("plan-contacts", { ...springs, contacts: { elsewhere: 41, most: 40 + now } })).toEqual([
      ["plan-contacts", { now: 41 + now, most: 40 + now }, 1000],
    ]);
    expect(unmet("plan-contacts", { contacts: { elsewhere: 1000, most: 1 } })).toEqual([]);
    expect(unmet("plan-contacts", springs)).toEqual([]);
  });

  it("a limit in the way is as far off as it lasts, and never less than a day", () => {
    const limit = (until?: string): Restriction => ({
      kind: "knob-limit",
      knob: "step-height",
      hardest: 10,
      says: "No step above 10 cm",
      origin: "surgeon",
      ...(until === undefined ? {} : { until }),
    });
    const told = (until?: string) => unmet("next-knob", { restrictions: [limit(until)] });
    expect(told("2026-03-20")).toEqual([
      [
        "restriction",
        { knob: "step-height", says: "No step above 10 cm", origin: "surgeon", until: "2026-03-20" },
        11,
      ],
    ]);
    expect(told("2026-03-09")).toMatchObject([["restriction", { until: "2026-03-09" }, 1]]);
    expect(told()).toEqual([
      ["restriction", { knob: "step-height", says: "No step above 10 cm", origin: "surgeon" }, 1000],
    ]);
    expect(unmet("next-knob")).toEqual([]);
  });

  it("a lane is closed by its stage alone, by what variants or phases it has", () => {
    const barred = (kind: string, origin: string) =>
      closesLane({
        found: "restriction",
        knob: "variant",
        restriction: { kind, origin, says: "later" },
      } as never);
    expect(barred("variants", "stage")).toBe(true);
    expect(barred("phases", "stage")).toBe(true);
    expect(barred("knob", "stage")).toBe(false);
    expect(barred("variants", "surgeon")).toBe(false);
    expect(closesLane(viewOf().next)).toBe(false);
  });
});
