import { describe, expect, it } from "vitest";
import type { CaseFile } from "./case-file";
import { caseDays } from "./case-days";
import { effusionNow } from "./effusion";

const zone = "Europe/Vienna";
const grade = (value: number, takenOn: string, more: object = {}) => ({
  id: `${takenOn}-${value}`,
  measure: "effusion",
  side: "left" as const,
  value,
  takenOn,
  occasion: "since-injury" as const,
  ...more,
});
const session = (at: string, more: object = {}) => ({
  id: at,
  at,
  painBefore: 0,
  items: [
    { itemId: "a", sets: [{ side: "left", painDuring: 0, painSite: "episode", effort: 5, faults: [] }] },
  ],
  ...more,
});
const file = (results: object[], sessions: object[], asOf: string, involvedSide = "left") =>
  ({ zone, asOf, results, sessions, reports: [], episode: { involvedSide } }) as unknown as CaseFile;

describe("effusion as it stands", () => {
  const now = (...values: [number, string][]) =>
    effusionNow(
      file(
        values.map(([value, on]) => grade(value, on)),
        [],
        "2026-03-20T10:00:00Z",
      ),
    );
  it("is nothing where nobody graded it", () => expect(now()).toBeNull());
  it("a first finding is no rise, whatever its grade", () =>
    expect(now([3, "2026-03-01"])).toEqual({ grade: 3, raised: false }));
  it("a rise stays until it is back where it was", () => {
    expect(now([1, "2026-03-01"], [2, "2026-03-05"])).toEqual({ grade: 2, raised: true });
    expect(now([0, "2026-03-01"], [2, "2026-03-05"], [1, "2026-03-09"])).toEqual({ grade: 1, raised: true });
    expect(now([1, "2026-03-01"], [2, "2026-03-05"], [1, "2026-03-09"])).toEqual({ grade: 1, raised: false });
  });
  it("two rises in a row are over when it is back below both", () => {
    const rises: [number, string][] = [
      [1, "2026-03-01"],
      [2, "2026-03-03"],
      [3, "2026-03-05"],
    ];
    expect(now(...rises, [2, "2026-03-09"])).toEqual({ grade: 2, raised: true });
    expect(now(...rises, [1, "2026-03-09"])).toEqual({ grade: 1, raised: false });
  });
  it("with both sides hurt the worse one counts; the sound side of one does not", () => {
    const results = [grade(1, "2026-03-01"), grade(3, "2026-03-01", { side: "right" })];
    expect(effusionNow(file(results, [], "2026-03-20T10:00:00Z", "both"))?.grade).toBe(3);
    expect(effusionNow(file(results, [], "2026-03-20T10:00:00Z"))?.grade).toBe(1);
  });
  it("what is graded tomorrow or has not reached the record is not known", () => {
    const results = [
      grade(1, "2026-03-01"),
      grade(2, "2026-03-21"),
      grade(4, "2026-03-19", { recordedAt: "2026-03-20T10:00:01Z" }),
    ];
    expect(effusionNow(file(results, [], "2026-03-20T10:00:00Z"))).toEqual({ grade: 1, raised: false });
  });
});

describe("the training day that a higher grade belongs to", () => {
  const before = grade(0, "2026-03-01");
  const days = [session("2026-03-05T09:00:00Z"), session("2026-03-08T09:00:00Z")];
  const of = (found: object, asOf = "2026-03-20T10:00:00Z") =>
    caseDays(file([before, found], days, asOf)).map(({ date, effusionUpOn }) => [date, effusionUpOn ?? null]);
  it.each([
    ["found on the day itself", grade(1, "2026-03-08"), "2026-03-08", "2026-03-08"],
    [
      "found after that day's session",
      grade(1, "2026-03-08", { recordedAt: "2026-03-08T12:00:00Z" }),
      "2026-03-08",
      "2026-03-08",
    ],
    [
      "found before that day's session",
      grade(1, "2026-03-08", { recordedAt: "2026-03-08T08:00:00Z" }),
      "2026-03-05",
      "2026-03-08",
    ],
    ["found the next day", grade(1, "2026-03-09"), "2026-03-08", "2026-03-09"],
    ["found a week later", grade(1, "2026-03-15"), "2026-03-08", "2026-03-15"],
  ])("%s", (_what, found, date, on) => {
    expect(of(found).filter(([, up]) => up !== null)).toEqual([[date, on]]);
  });
  it("risen twice before the next session, the later rise is the news", () => {
    const twice = [before, grade(1, "2026-03-09"), grade(2, "2026-03-12")];
    const [, day] = caseDays(file(twice, days, "2026-03-20T10:00:00Z"));
    expect(day?.effusionUpOn).toBe("2026-03-12");
  });
  it("found before anything was trained it belongs to no day", () => {
    expect(of(grade(1, "2026-03-03")).every(([, up]) => up === null)).toBe(true);
  });
});

it("a training day knows when the last of its sessions reached the record", () => {
  const sessions = [
    session("2026-03-08T09:00:00Z", { receivedAt: "2026-03-09T20:00:00Z" }),
    session("2026-03-08T17:00:00Z"),
  ];
  const [day] = caseDays(file([], sessions, "2026-03-20T10:00:00Z"));
  expect(day).toMatchObject({ lastSessionAt: "2026-03-08T17:00:00Z", receivedAt: "2026-03-09T20:00:00Z" });
});
