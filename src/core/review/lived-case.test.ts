import fc from "fast-check";
import { describe, expect, it } from "vitest";
import type { outcomes } from "~/core/decision/record/decide-input";
import { harderThisWeek } from "~/core/decision/change-budget";
import { localDay } from "~/core/schedule/local-day";
import { suspends } from "~/core/decision/stop-scope";
import { stopSignal } from "~/core/intake/stop-signal";
import { livedCase } from "~tests/builders/lived-cases";
import { arbitrarySignal } from "~tests/builders/random-case";
import type { CaseFile } from "~/core/case/case-file";
import { caseloadState } from "~/core/caseload/caseload-state";
import { compareSchools } from "./compare-schools";
import { replayDecisions } from "./replay-decisions";
import { finished } from "~/core/work/in-steps";
import { reviewCase, type CaseReview } from "./review-case";
import { validUntil } from "~/core/caseload/valid-until";

const runs = { numRuns: 160 };
const hour = 3_600_000;

const turned = ({ items }: CaseReview) =>
  items.filter(
    ({ proposal }) => proposal.outcome === "step-up" && proposal.change && "knob" in proposal.change,
  );

describe("over random records of a whole plan", () => {
  it("a stop signal always wins: what it suspends stops, whatever else is true", () => {
    fc.assert(
      fc.property(livedCase, arbitrarySignal, (file, { code, itemId }) => {
        const signal = {
          id: "signal",
          code,
          itemId,
          at: new Date(Date.parse(file.asOf) - hour).toISOString(),
        };
        const raised = reviewCase({ ...file, signals: [signal] });
        const scoped = raised.items.map(({ itemId: id, exerciseId, prescription }) => {
          const exercise = file.exercises.find((entry) => entry.id === exerciseId);
          if (!exercise) throw new Error("the case carries its exercises");
          return { itemId: id, exercise, prescription };
        });
        const seenIn = scoped.find((item) => item.itemId === itemId) ?? null;
        raised.items.forEach((item, n) => {
          const struck = suspends(stopSignal(code).suspends, scoped[n] as (typeof scoped)[number], seenIn);
          if (struck) expect(item.proposal.outcome).toBe("stop");
        });
      }),
      runs,
    );
  });

  it("never steps up more items than the week's change budget has left", () => {
    fc.assert(
      fc.property(livedCase, (file) => {
        const review = reviewCase(file);
        const { used, limit } = review.changeBudget;
        const at = { today: localDay(file.asOf, file.zone), zone: file.zone };
        const fresh = turned(review).filter(
          ({ itemId }) =>
            !harderThisWeek(
              file.decisions.flatMap((d) => (d.itemId === itemId && d.signedChange ? [d.signedChange] : [])),
              at,
            ),
        );
        expect(fresh.length).toBeLessThanOrEqual(Math.max(0, limit - used));
      }),
      runs,
    );
  });

  it("eases at most two for one reaction", () => {
    fc.assert(
      fc.property(livedCase, (file) => {
        const flared = reviewCase(file).items.filter(({ proposal }) => proposal.rule === "ease-flare");
        expect(flared.length).toBeLessThanOrEqual(2);
      }),
      runs,
    );
  });

  it("replayed, every signed proposal comes out as it was stored", () => {
    fc.assert(
      fc.property(livedCase, (file) => {
        expect(finished(replayDecisions(file)).decisions.filter(({ same }) => !same)).toEqual([]);
      }),
      runs,
    );
  });

  it("pain in the ease band of every school stops or eases, and never holds or steps", () => {
    fc.assert(
      fc.property(livedCase, (file) => {
        const last = file.sessions.at(-1);
        if (!last) return;
        // One that arrived late may have been followed by signatures: it is answered then.
        const arrived = last.receivedAt ?? last.at;
        if (file.decisions.some(({ at }) => Date.parse(at) >= Date.parse(arrived))) return;
        const painful = last.items.map((item) => ({
          ...item,
          sets: item.sets.map((set) => ({ ...set, painDuring: 10 })),
        }));
        const sessions = [...file.sessions.slice(0, -1), { ...last, painBefore: 0, items: painful }];
        const rules = reviewCase({ ...file, sessions }).items.map(({ proposal }) => proposal.outcome);
        expect(rules.every((outcome) => outcome === "ease" || outcome === "stop")).toBe(true);
      }),
      runs,
    );
  });

  it("more pain in an exercise never gives that exercise a harder outcome", () => {
    const rank = (outcome: (typeof outcomes)[number]) =>
      ({ stop: 0, ease: 1, wait: 2, hold: 2, plateau: 2, "step-up": 3 })[outcome];
    const outcomeOf = (file: CaseFile, itemId: string) =>
      rank(reviewCase(file).items.find((item) => item.itemId === itemId)?.proposal.outcome ?? "stop");
    fc.assert(
      fc.property(livedCase, fc.integer({ min: 1, max: 6 }), fc.nat({ max: 3 }), (file, more, n) => {
        const last = file.sessions.at(-1);
        const itemId = file.items[n]?.id;
        if (!last || itemId === undefined) return;
        const items = last.items.map((item) =>
          item.itemId === itemId
            ? {
                ...item,
                sets: item.sets.map((set) => ({ ...set, painDuring: Math.min(10, set.painDuring + more) })),
              }
            : item,
        );
        const worse = { ...file, sessions: [...file.sessions.slice(0, -1), { ...last, items }] };
        expect(outcomeOf(worse, itemId)).toBeLessThanOrEqual(outcomeOf(file, itemId));
      }),
      runs,
    );
  });

  it("does not depend on the order in which things reached the record", () => {
    fc.assert(
      fc.property(livedCase, (file) => {
        const mirrored = {
          ...file,
          sessions: [...file.sessions].reverse(),
          reports: [...file.reports].reverse(),
        };
        expect(reviewCase(mirrored)).toEqual(reviewCase(file));
      }),
      runs,
    );
  });

  it("what the caseload says holds until the moment it says it holds", () => {
    fc.assert(
      fc.property(livedCase, fc.double({ min: 0, max: 1, noNaN: true }), (file, share) => {
        const [from, until] = [Date.parse(file.asOf), Date.parse(validUntil(file))];
        expect(until).toBeGreaterThan(from);
        const later = new Date(from + Math.floor(share * (until - 1 - from))).toISOString();
        expect(caseloadState({ ...file, asOf: later }, null)).toEqual(caseloadState(file, null));
      }),
      runs,
    );
  });

  it("every school judges every day, and they part on the first day on which they differ", () => {
    fc.assert(
      fc.property(livedCase, (file) => {
        const [item] = file.items;
        const compared = finished(compareSchools(file, item?.id ?? ""));
        for (const { verdicts } of compared?.schools ?? []) {
          expect(verdicts.map(({ date }) => date)).toEqual(compared?.days.map(({ date }) => date));
        }
        const said = (date: string) =>
          compared?.schools.map(({ verdicts }) => verdicts.find((v) => v.date === date)?.outcome);
        const parting = compared?.days.find(({ date }) => new Set(said(date)).size > 1)?.date ?? null;
        expect(compared?.partedOn).toBe(parting);
      }),
      { numRuns: 40 },
    );
  });
});
