import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { reviewCase } from "~/core/review/review-case";
import { stoppingPinch } from "~/core/decision/rules/stop";
import { pinchGrade } from "~/core/response/judge-day";
import { standingResults, type MeasureResult } from "~/core/measure/measure";
import { unlessVoidedLater } from "~/core/schema/voided";
import { livedCase } from "~tests/builders/lived-cases";
import { caseDays, type CaseDay } from "./case-days";
import type { CaseFile, CaseItem, CaseSession } from "./case-file";
import { doneBefore } from "./done-before";
import { doneTwice } from "./done-twice";
import { pinchesKept } from "./stops";

const voided = (at: string) => ({ id: "v", at, reason: "Another patient's" });
const asProposed = (file: CaseFile) =>
  reviewCase(file).items.map(({ itemId, proposal }) => ({ itemId, proposal }));
const stops = ({ items }: CaseSession) =>
  items.some(({ sets }) => sets.some((set) => pinchGrade(set) >= stoppingPinch));

describe("what is voided is judged as if it had never been written", () => {
  it("a session without a stop, and a report, of any record", () => {
    let sessions = 0;
    let reports = 0;
    fc.assert(
      fc.property(livedCase, fc.nat(), (file, n) => {
        const session = file.sessions[n % Math.max(1, file.sessions.length)];
        const named = file.sessions.some(({ supersedes }) => supersedes === session?.id);
        if (session && !stops(session) && !named) {
          sessions += 1;
          const without = { ...file, sessions: file.sessions.filter((s) => s !== session) };
          const marked = file.sessions.map((s) => (s === session ? { ...s, voided: voided(file.asOf) } : s));
          expect(asProposed({ ...file, sessions: marked })).toEqual(asProposed(without));
        }
        const report = file.reports[n % Math.max(1, file.reports.length)];
        if (report) {
          reports += 1;
          const without = { ...file, reports: file.reports.filter((r) => r !== report) };
          const marked = file.reports.map((r) => (r === report ? { ...r, voided: voided(file.asOf) } : r));
          expect(asProposed({ ...file, reports: marked })).toEqual(asProposed(without));
        }
      }),
      { numRuns: 40 },
    );
    expect(Math.min(sessions, reports)).toBeGreaterThan(12);
  });
  it("a result: what it had corrected stands again", () => {
    const result = (id: string, more: Partial<MeasureResult> = {}): MeasureResult => ({
      id,
      measure: "knee-extension",
      side: "left",
      value: 40,
      takenOn: "2026-03-02",
      occasion: "since-injury",
      ...more,
    });
    const ids = (...results: MeasureResult[]) => standingResults(results).map(({ id }) => id);
    const second = result("b", { supersedes: "a" });
    expect(ids(result("a"), second)).toEqual(["b"]);
    expect(ids(result("a"), { ...second, voided: voided("2026-03-03T08:00:00Z") })).toEqual(["a"]);
    expect(ids({ ...result("a"), voided: voided("2026-03-03T08:00:00Z") })).toEqual([]);
  });
});

const item = {
  id: "i",
  exerciseId: "bridge",
  prescriptions: [{ id: "p", from: "2026-03-01T08:00:00Z", prescription: { dose: { sets: 2, reps: 5 } } }],
} as unknown as CaseItem;
const session = (id: string, at: string, more: object = {}, set: object = {}): CaseSession => ({
  id,
  at,
  painBefore: 0,
  items: [
    {
      itemId: "i",
      sets: [{ side: "left", reps: 20, painDuring: 0, painSite: "episode", effort: 5, faults: [], ...set }],
    },
  ],
  ...more,
});
const file = (sessions: CaseSession[], asOf = "2026-03-09T08:00:00Z") =>
  ({
    asOf,
    zone: "Europe/Vienna",
    items: [item],
    sessions,
    reports: [],
    results: [],
    clearances: [],
    episode: { involvedSide: "left" },
  }) as unknown as CaseFile;

describe("a voided session", () => {
  const at = "2026-03-02T08:00:00Z";
  const gone = { voided: voided("2026-03-03T08:00:00Z") };
  it("leaves the stop it raised, until an item of the exercise is cleared", () => {
    const blocked = session("s", at, gone, { limit: { kind: "block" } });
    expect(pinchesKept(file([blocked]), item)).toHaveLength(1);
    const cleared = {
      ...file([blocked]),
      clearances: [{ id: "c", itemId: "i", at: gone.voided.at, reason: "r" }],
    };
    expect(pinchesKept(cleared, item)[0]?.clearedAt).toBe(gone.voided.at);
  });
  it("gives its place back to the session it had corrected", () => {
    const days = caseDays(file([session("s", at), session("t", at, { supersedes: "s", ...gone })]));
    expect(days.flatMap(({ sessions }) => sessions.map(({ id }) => id))).toEqual(["s"]);
  });
  it("was still judged on the days before it was voided", () => {
    const early = file([session("s", at, gone)], "2026-03-02T20:00:00Z");
    expect(caseDays(early)).toHaveLength(1);
    expect(unlessVoidedLater(session("s", at, gone), "2026-03-02T20:00:00Z").voided).toBeUndefined();
    expect(unlessVoidedLater(session("s", at, gone), gone.voided.at).voided).toEqual(gone.voided);
  });
  it("is no measure of what was done before", () => {
    const loaded = { loadKg: 60 };
    expect(doneBefore(file([session("s", at, {}, loaded)]), "bridge").loadKg).toBe(60);
    expect(doneBefore(file([session("s", at, gone, loaded)]), "bridge").loadKg).toBeUndefined();
  });
});

describe("an exercise in two sessions of a day", () => {
  const [morning, noon] = ["2026-03-02T07:00:00Z", "2026-03-02T11:00:00Z"];
  const twice = (over: object = {}, boutsPerDay = 1) => {
    const one = { ...item, prescriptions: item.prescriptions.map((entry) => ({ ...entry })) } as CaseItem;
    for (const entry of one.prescriptions)
      Object.assign(entry.prescription, { dose: { sets: 2, reps: 5, boutsPerDay } });
    const days: CaseDay[] = caseDays(file([session("s", morning), session("t", noon, over)]));
    return doneTwice({ items: [one] }, days);
  };
  it("is noticed at both, each with when the other was", () =>
    expect(twice()).toEqual([
      { sessionId: "t", itemId: "i", at: morning },
      { sessionId: "s", itemId: "i", at: noon },
    ]));
  it("is as it should be where two bouts a day are prescribed", () => expect(twice({}, 2)).toEqual([]));
  it("is nothing on another day, or when one corrects the other or is voided", () => {
    expect(twice({ at: "2026-03-03T07:00:00Z" })).toEqual([]);
    expect(twice({ supersedes: "s" })).toEqual([]);
    expect(twice({ voided: voided("2026-03-03T08:00:00Z") })).toEqual([]);
  });
});
