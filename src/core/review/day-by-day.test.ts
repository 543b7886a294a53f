import { describe, expect, it } from "vitest";
import { caseExample } from "~/core/calculation/examples";
import type { CaseDecision, CaseFile } from "~/core/case/case-file";
import { dayByDay } from "./day-by-day";
import { finished } from "~/core/work/in-steps";
import { reviewCase } from "./review-case";

const [item] = caseExample.items;
if (!item) throw new Error("the example has an item");
const last = reviewCase(caseExample);
const proposal = last.items[0]?.proposal;
if (!proposal) throw new Error("the example is judged");

const decision = (at: string): CaseDecision => ({
  id: `d-${at}`,
  itemId: item.id,
  at,
  action: "refuse",
  signedBy: "Somebody",
  reason: "not yet",
  school: "monitored",
  proposal,
  applied: null,
  signedChange: null,
});
const day = (file: CaseFile, date: string) => finished(dayByDay(file)).days.find((one) => one.date === date);

describe("an episode read again day by day", () => {
  it("has every date on which anything happened, oldest first, and nothing of later", () => {
    const { dates, days } = finished(dayByDay(caseExample));
    expect(dates).toEqual([...dates].sort());
    expect(days.map(({ date }) => date)).toEqual(dates.slice(-31));
    expect((dates.at(-1) ?? "9999") <= caseExample.asOf.slice(0, 10)).toBe(true);
  });
  it("says what was done that day, what was proposed, and how the next time went", () => {
    const [first, second] = caseExample.sessions.map(({ at }) => at.slice(0, 10));
    const seen = day(caseExample, first ?? "");
    expect(seen?.sessions).toBe(1);
    expect(seen?.items[0]).toMatchObject({
      itemId: item.id,
      done: { date: first, painBefore: caseExample.sessions[0]?.painBefore },
      next: { date: second },
      signed: null,
    });
    expect(day(caseExample, second ?? "")?.items[0]?.next).toBeNull();
  });
  it("judges by what was known then: a report of the next morning does not count the evening before", () => {
    const [, second] = caseExample.sessions.map(({ at }) => at.slice(0, 10));
    expect(day(caseExample, second ?? "")?.items[0]?.proposal.outcome).toBe("wait");
    const reported = finished(dayByDay(caseExample)).days.at(-1);
    expect(reported?.reports).toHaveLength(1);
    expect(reported?.items[0]?.proposal.outcome).toBe(proposal.outcome);
  });
  it("stands just before the first signature of a date, and shows what was signed", () => {
    const at = caseExample.asOf;
    const signed = { ...caseExample, decisions: [decision(at)] };
    const seen = day(signed, at.slice(0, 10));
    expect(Date.parse(seen?.judgedAt ?? "")).toBe(Date.parse(at) - 1);
    expect(seen?.items[0]?.signed).toEqual({ action: "refuse", at, reason: "not yet" });
    expect(seen?.items[0]?.proposal).toEqual(proposal);
  });
  it("begins with the first stage: what was measured before is of another time", () => {
    const [move] = caseExample.stageMoves;
    const result = {
      id: "old",
      measure: "squeeze-force",
      side: "none" as const,
      value: 200,
      takenOn: "2025-11-02",
      occasion: "pre-injury" as const,
    };
    const { dates } = finished(dayByDay({ ...caseExample, results: [...caseExample.results, result] }));
    expect(dates).not.toContain("2025-11-02");
    expect((dates[0] ?? "") >= (move?.at.slice(0, 10) ?? "")).toBe(true);
  });
  it("begins where it is asked to", () => {
    const { dates } = finished(dayByDay(caseExample));
    const from = dates[1] ?? "";
    expect(finished(dayByDay(caseExample, from)).days.map(({ date }) => date)).toEqual(dates.slice(1));
    expect(finished(dayByDay(caseExample, "2099-01-01")).days).toEqual([]);
  });
});
