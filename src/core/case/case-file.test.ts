import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { demoPeople } from "~demo/people";
import { simulate } from "~demo/simulate";
import { demoCase, demoCases, demoDay } from "~tests/builders/lived-cases";
import { caseExample } from "~/core/calculation/examples";
import { exportCase, type CaseFile } from "./case-file";
import { importCase } from "./import-case";
import { caseDays, itemDays } from "./case-days";
import { schoolInForce } from "./in-force";
import { bookOfBody } from "~/catalogue/demands/book";
import type { DrawnDemandOrWhy } from "~/core/demand/drawn-demand";
import { measuredBody } from "./measured-body";
import { replayDecisions } from "~/core/review/replay-decisions";
import { finished } from "~/core/work/in-steps";
import { reviewCase } from "~/core/review/review-case";

const cases = demoCases();

/** Drawings that were read, as the application keeps them. */
const kept = new Map<string, DrawnDemandOrWhy>();

describe.each(cases)("case of the %s", (_key, file) => {
  it("import(export(case)) = case", () => {
    expect(importCase(exportCase(file))).toEqual({ ok: true, value: file });
  });
  it("is reviewed alike before and after the journey, and by the same day everywhere", () => {
    const back = importCase(exportCase(file));
    if (!back.ok) throw new Error("the case is sound");
    expect(reviewCase(back.value)).toEqual(reviewCase(file));
  });
  it("carries no identity", () => {
    const person = demoPeople.find((p) => p.profile.key === _key);
    const text = exportCase(file);
    expect(text).not.toContain(person?.familyName);
    expect(text).not.toContain(person?.activity);
  });
  it("every signed proposal comes out the same when replayed", () => {
    expect(
      finished(replayDecisions(file, bookOfBody(measuredBody(file), kept))).decisions.filter(
        ({ same }) => !same,
      ),
    ).toEqual([]);
  });
});

it("the demo is the same on every machine and every run", () => {
  const [person] = demoPeople;
  if (!person) throw new Error("the demo has people");
  expect(simulate(person.profile, demoDay)).toEqual({
    ...demoCase(person),
    asOf: expect.any(String) as string,
  });
});

describe("a broken case file is refused with the path", () => {
  const broken: [string, (file: CaseFile) => unknown, string][] = [
    [
      "pain 11",
      (f) => ({ ...f, sessions: f.sessions.map((s) => ({ ...s, painBefore: 11 })) }),
      "/sessions/0/painBefore",
    ],
    ["another format", (f) => ({ ...f, format: "something" }), "/format"],
    ["a later version", (f) => ({ ...f, version: 2 }), "/version"],
    ["an unknown key", (f) => ({ ...f, name: "somebody" }), "/name"],
    ["no pathway", (f) => ({ ...f, pathway: undefined }), "/pathway"],
    ["an exercise that is not there", (f) => ({ ...f, exercises: [] }), "/items/0/exerciseId"],
    [
      "a stage that is not there",
      (f) => ({ ...f, stageMoves: f.stageMoves.map((m) => ({ ...m, stage: "x" })) }),
      "/stageMoves/0/stage",
    ],
    ["a session of no item", (f) => ({ ...f, items: [] }), "/sessions/0/items/0/itemId"],
  ];
  it.each(broken)("%s", (_what, spoil, path) => {
    const result = importCase(JSON.stringify(spoil(caseExample)));
    expect(result.ok).toBe(false);
    if (!result.ok) expect(result.problems.map((p) => p.path)).toContain(path);
  });
  it("text that is not JSON, and any other text, never throws", () => {
    expect(importCase("{").ok).toBe(false);
    fc.assert(
      fc.property(fc.oneof(fc.string(), fc.json()), (text) => {
        expect(importCase(text).ok).toBe(false);
      }),
    );
  });
});

describe("training days", () => {
  const session = (id: string, at: string, painBefore: number) => ({
    ...(caseExample.sessions[0] as CaseFile["sessions"][number]),
    id,
    at,
    painBefore,
  });
  const file: CaseFile = {
    ...caseExample,
    sessions: [session("a", "2026-03-08T07:00:00Z", 1), session("b", "2026-03-08T17:00:00Z", 4)],
    reports: [
      { id: "r1", trainingDate: "2026-03-08", receivedAt: "2026-03-09T06:00:00Z", pain: 3 },
      { id: "r2", trainingDate: "2026-03-08", receivedAt: "2026-03-09T09:00:00Z", pain: 1 },
      { id: "r3", trainingDate: "2026-03-08", receivedAt: "2026-03-10T20:00:00Z", pain: 9 },
    ],
  };

  it("two sessions of one local day are one day: pain before the first, clock from the last", () => {
    expect(itemDays(caseDays(file), "i1")).toHaveLength(1);
    expect(itemDays(caseDays(file), "i1")[0]).toMatchObject({
      painBefore: 1,
      lastSessionAt: "2026-03-08T17:00:00Z",
    });
    expect(itemDays(caseDays(file), "i1")[0]?.sets).toHaveLength(10);
  });
  it("the latest report in time counts; one that came too late does not undo it", () => {
    expect(itemDays(caseDays(file), "i1")[0]?.report?.pain).toBe(1);
  });
  it("the school set last is in force; without one, the stage's own", () => {
    expect(schoolInForce(file)).toBe("monitored");
    expect(schoolInForce({ ...file, schools: [] })).toBe("monitored");
    const later = { id: "s2", at: "2026-03-09T09:00:00Z", school: "tendon" as const, reason: "changed" };
    expect(schoolInForce({ ...file, schools: [...file.schools, later] })).toBe("tendon");
  });
});
