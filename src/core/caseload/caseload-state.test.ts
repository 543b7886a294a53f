import { describe, expect, it } from "vitest";
import { caseExample } from "~/core/calculation/examples";
import type { CaseFile } from "~/core/case/case-file";
import { caseloadState, reportDays } from "./caseload-state";

const last = caseExample.sessions.at(-1) as CaseFile["sessions"][number];
const hoursAfterLast = (hours: number) => new Date(Date.parse(last.at) + hours * 3_600_000).toISOString();
const withLast = (over: Partial<CaseFile["sessions"][number]>): CaseFile => ({
  ...caseExample,
  sessions: [...caseExample.sessions.slice(0, -1), { ...last, ...over }],
});
const felt = (painDuring: number) =>
  last.items.map((item) => ({ ...item, sets: item.sets.map((set) => ({ ...set, painDuring })) }));
const noLastReport = caseExample.reports.filter(({ trainingDate }) => trainingDate !== last.at.slice(0, 10));
const woke = (pain: number) => caseExample.reports.map((report) => ({ ...report, pain }));
/** In the last stage, which has no gate, since 1 March. */
const inLastStage: CaseFile = {
  ...caseExample,
  stageMoves: caseExample.stageMoves.map((move) => ({ ...move, stage: "build" })),
};
/** Answered a moment ago, so that nothing is proposed. */
const answered = (file: CaseFile): CaseFile => ({
  ...file,
  items: file.items.map((item) => ({
    ...item,
    prescriptions: item.prescriptions.map((entry) => ({ ...entry, from: file.asOf })),
  })),
});

describe("what the caseload says of somebody, the worst first", () => {
  const cases: [string, CaseFile, string | null][] = [
    [
      "stop",
      {
        ...withLast({ items: felt(8) }),
        signals: [{ id: "s", code: "calf-hot", at: hoursAfterLast(1) }],
      },
      null,
    ],
    ["flare", { ...caseExample, reports: woke(6) }, null],
    ["ease", withLast({ items: felt(7) }), null],
    ["wait", { ...caseExample, reports: noLastReport, asOf: hoursAfterLast(10) }, null],
    ["report-missing", { ...caseExample, reports: noLastReport, asOf: hoursAfterLast(40) }, null],
    ["step-up", caseExample, null],
    ["gate-open", answered(caseExample), null],
    ["quiet", answered({ ...inLastStage, asOf: hoursAfterLast(7 * 24 + 1) }), null],
    ["maintenance-due", answered({ ...inLastStage, asOf: hoursAfterLast(4 * 24) }), null],
    ["hold", answered({ ...inLastStage, asOf: hoursAfterLast(40) }), null],
  ];
  it.each(cases)("%s", (attention, file, targetOn) => {
    expect(caseloadState(file, targetOn).attention).toBe(attention);
  });

  it("a stop outranks an ease, an ease a missing report, a missing report a step", () => {
    const eased = { ...withLast({ items: felt(7) }), reports: noLastReport, asOf: hoursAfterLast(40) };
    expect(caseloadState(eased, null).attention).toBe("ease");
    const stopped: CaseFile = {
      ...eased,
      signals: [{ id: "s", code: "dizziness", at: hoursAfterLast(1) }],
    };
    expect(caseloadState(stopped, null).attention).toBe("stop");
    const cleared = stopped.signals?.map((signal) => ({
      ...signal,
      cleared: { at: hoursAfterLast(2), reason: "gone" },
    }));
    expect(caseloadState({ ...stopped, signals: cleared }, null).attention).toBe("ease");
  });

  it("names the exercise, the rule and the first evidence", () => {
    const { reason } = caseloadState(withLast({ items: felt(7) }), null);
    expect(reason).toMatchObject({ rule: "ease-pain-with-effort", exercise: caseExample.exercises[0]?.name });
    expect(reason.evidence).not.toBeNull();
  });

  it("a target closer than the shortest way there is at risk, one far away is not", () => {
    const early = answered({
      ...caseExample,
      asOf: hoursAfterLast(40),
      results: [],
      pathway: {
        ...caseExample.pathway,
        stages: caseExample.pathway.stages.map((stage) =>
          stage.gate ? { ...stage, gate: { ...stage.gate, minimumDaysInStage: 60 } } : stage,
        ),
      },
    });
    expect(caseloadState(early, "2026-03-20").attention).toBe("target-at-risk");
    expect(caseloadState(early, "2026-12-24").attention).toBe("hold");
  });
});

describe("which training day a report is asked for", () => {
  it("not on the day itself; from the next local date for 48 hours", () => {
    const file = { ...caseExample, reports: noLastReport };
    const day = last.at.slice(0, 10);
    const at = (hours: number) => reportDays({ ...file, asOf: hoursAfterLast(hours) });
    expect(at(2)).toMatchObject({ open: day, canReport: null, missing: null });
    expect(at(20)).toMatchObject({ open: day, canReport: day, missing: null });
    expect(at(40)).toMatchObject({ open: null, canReport: day, missing: day });
    expect(at(49)).toMatchObject({ open: null, canReport: null, missing: day });
  });
});
