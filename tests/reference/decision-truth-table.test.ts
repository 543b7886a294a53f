import { describe, expect, it } from "vitest";
import { decide } from "~/core/decision/decide";
import type { DecideInput, SignedChange } from "~/core/decision/record/decide-input";
import type { SetRecord, TrainingDay } from "~/core/response/session-record";
import {
  day,
  march,
  reps,
  squeezeInput,
  squeezes,
  stepUpInput,
  strength,
  type DayOptions,
} from "~tests/builders/decide-input";

/**
 * A hand-written table of records and what should happen next, row by row from the product's own rules of response (common
 * practice; the bands of the schools as published, see the pain-school reference). The item is a side step-up
 * at 10 cm, 3 × 8–12, left side injured, monitored, prescribed on 3 March; or a squeeze at 50–70 % of 180 N.
 */
const top = (date: number, options: DayOptions = {}, more: Partial<SetRecord> = {}) =>
  day(date, reps([12, 12, 12], more), options);
const two = (options: DayOptions = {}, more: Partial<SetRecord> = {}) => [
  top(5, options, more),
  top(8, options, more),
];
const settled = (hours: number) => (worked: TrainingDay) =>
  worked.report ? { ...worked, report: { ...worked.report, settledHours: hours } } : worked;
const noon9 = { now: march(9, "10:00") };
const stepUp = (over: Partial<DecideInput>) => stepUpInput({ ...noon9, ...over });
const marked = (n: number | "some" | "most", severity: "marked" | "slight" = "marked") => ({
  faults: [{ fault: "knee-in", severity, reps: n }],
});
const harder = (at: string, knob = "step-height"): SignedChange => ({ at, direction: "harder", knob });
const easier = (at: string, knob = "step-height"): SignedChange => ({ at, direction: "easier", knob });
const plate = [
  {
    kind: "knob-limit" as const,
    knob: "step-height",
    hardest: 10,
    origin: "surgeon" as const,
    says: "no step above 10 cm",
  },
];
const signal = { code: "calf-hot", scope: "plan" as const, raisedAt: march(8, "12:00") };

type Row = [what: string, input: DecideInput, outcome: string, rule: string];

// oxfmt-ignore
const table: Row[] = [
  // Step up: the run of good days and everything else a step asks for.
  ["two good days", stepUp({ trainingDays: two() }), "step-up", "step-up"],
  ["one good day", stepUp({ trainingDays: [top(8)] }), "hold", "run-too-short"],
  ["nothing done yet", stepUp({}), "hold", "no-session"],
  ["pain 2 during is still go", stepUp({ trainingDays: two({ during: 2 }) }), "step-up", "step-up"],
  ["pain 3 during holds", stepUp({ trainingDays: two({ during: 3 }) }), "hold", "pain-hold-band"],
  ["rise of 1 next day is fine", stepUp({ trainingDays: two({ before: 1, next: 2 }) }), "step-up", "step-up"],
  ["rise of 2 next day holds", stepUp({ trainingDays: two({ before: 1, next: 3 }) }), "hold", "next-day-hold"],
  ["effort 8 is within the cap", stepUp({ trainingDays: two({}, { effort: 8 }) }), "step-up", "step-up"],
  ["effort 9 is above it", stepUp({ trainingDays: two({}, { effort: 9 }) }), "hold", "effort-above-cap"],
  ["11 of 12 in one set", stepUp({ trainingDays: [top(5), day(8, reps([12, 12, 11]))] }), "hold", "short-of-top"],
  ["two sets instead of three", stepUp({ trainingDays: [top(5), day(8, reps([12, 12]))] }), "hold", "short-of-top"],
  ["a slight fault does not matter", stepUp({ trainingDays: two({}, marked(6, "slight")) }), "step-up", "step-up"],
  ["a marked fault in two reps", stepUp({ trainingDays: [top(5), top(8, {}, marked(2))] }), "hold", "short-of-top"],
  ["done on a lower step than prescribed", stepUp({ trainingDays: two({}, { settings: { "step-height": 5 } }) }), "hold", "easier-than-prescribed"],
  ["done on a higher step than prescribed counts", stepUp({ trainingDays: two({}, { settings: { "step-height": 15 } }) }), "step-up", "step-up"],
  ["with less load than prescribed", stepUp({ trainingDays: two({}, { loadKg: 4 }), prescription: { variantId: "only", settings: { "step-height": 10 }, dose: { ...strength, loadKg: 6 } }, }), "hold", "easier-than-prescribed"],
  ["fear on one day holds", stepUp({ trainingDays: [top(5), top(8, {}, { limit: { kind: "fear" } })] }), "hold", "fear"],
  ["slight pinching holds", stepUp({ trainingDays: [top(5), top(8, {}, { limit: { kind: "pinch", pinchGrade: 1 } })] }), "hold", "pinch-slight"],
  ["pain elsewhere does not count", stepUp({ trainingDays: two({ during: 7 }, { painSite: "elsewhere" }) }), "step-up", "step-up"],
  ["muscle soreness of 5 does not count", stepUp({ trainingDays: two({ during: 5 }, { painSite: "muscle" }) }), "step-up", "step-up"],
  ["muscle soreness of 6 counts as pain", stepUp({ trainingDays: two({ during: 6 }, { painSite: "muscle" }) }), "ease", "ease-pain-at-depth"],
  ["muscle soreness of 4 that settled in two days", stepUp({ trainingDays: two({ during: 4 }, { painSite: "muscle" }).map(settled(48)) }), "step-up", "step-up"],
  ["muscle soreness of 4 that lasted beyond 48 h", stepUp({ trainingDays: two({ during: 4 }, { painSite: "muscle" }).map(settled(49)) }), "hold", "pain-hold-band"],
  ["changed two days ago still settles", stepUp({ trainingDays: [top(5), top(6)], prescribedAt: march(5, "07:00"), now: march(7, "10:00") }), "hold", "settling"],
  ["lane adherence of 69 %", stepUp({ trainingDays: two(), laneAdherencePercent: 69 }), "hold", "adherence"],
  ["lane adherence of 70 %", stepUp({ trainingDays: two(), laneAdherencePercent: 70 }), "step-up", "step-up"],
  ["change budget used up", stepUp({ trainingDays: two(), changeBudget: { limit: 2, used: 2 } }), "hold", "change-budget"],
  ["one place left, one comes first", stepUp({ trainingDays: two(), changeBudget: { limit: 2, used: 1, ahead: 1 } }), "hold", "change-budget"],
  ["one place left, nobody before it", stepUp({ trainingDays: two(), changeBudget: { limit: 2, used: 1, ahead: 0 } }), "step-up", "step-up"],
  ["the surgeon allows no higher step", stepUp({ trainingDays: two(), restrictions: plate }), "hold", "restriction"],
  ["mean pain of the week up by more than 1", stepUp({ trainingDays: two(), weeklyMeanRise: 1.1 }), "hold", "mean-rising"],
  ["mean pain of the week up by 1", stepUp({ trainingDays: two(), weeklyMeanRise: 1 }), "step-up", "step-up"],
  ["refused this morning, nothing new since", stepUp({ trainingDays: two(), answeredAt: march(9, "09:00"), leftAsIsAt: march(9, "09:00") }), "hold", "answered"],
  ["last done eight days ago is an absence", stepUp({ trainingDays: two(), now: march(16, "10:00") }), "ease", "ease-absence"],
  ["a good day, an unreported one, a good day", stepUp({ trainingDays: [top(4), top(6, { next: null }), top(8)] }), "step-up", "step-up"],
  ["two unreported days between", stepUp({ trainingDays: [top(4), top(5, { next: null }), top(6, { next: null }), top(8)] }), "hold", "report-missing"],
  ["after an ease on this knob two days are not enough", stepUp({ trainingDays: two(), changes: [harder(march(1)), easier(march(3, "07:00"))] }), "hold", "run-too-short"],
  ["after an ease on this knob three are", stepUp({ trainingDays: [top(4), top(6), top(8)], changes: [harder(march(1)), easier(march(3, "07:00"))], }), "step-up", "step-up"],
  ["eased twice after stepping: left alone", stepUp({ trainingDays: [top(4), top(6), top(8)], changes: [harder("2026-02-10T08:00:00Z"), easier("2026-02-14T08:00:00Z"), harder("2026-02-20T08:00:00Z"), easier("2026-02-24T08:00:00Z")], }), "hold", "knob-left-alone"],
  // Wait: the open day is the one that would complete the step.
  ["second day open", stepUp({ trainingDays: [top(5), top(8, { next: null })], now: march(8, "20:00") }), "wait", "wait-next-day"],
  ["first day open: nothing to wait for", stepUp({ trainingDays: [top(8, { next: null })], now: march(8, "20:00") }), "hold", "open-day"],
  ["second day closed without a report", stepUp({ trainingDays: [top(5), top(8, { next: null })], now: march(10, "10:00") }), "hold", "report-missing"],
  ["late report of the second day counts", stepUp({ trainingDays: [top(5), top(8, { reportAt: march(10, "01:00") })], now: march(10, "10:00") }), "step-up", "step-up"],
  // Ease: by the first cause that shows.
  ["pain 6 during", stepUp({ trainingDays: [top(8, { during: 6 })] }), "ease", "ease-pain-at-depth"],
  ["pain 6 during with the effort", stepUp({ trainingDays: [top(8, { during: 6 }, { painWith: "effort" })] }), "ease", "ease-pain-with-effort"],
  ["sore start of 4, 5 during: held", stepUp({ trainingDays: [top(8, { before: 4, during: 5, next: 4 })] }), "hold", "sore-start"],
  ["sore start of 4, 6 during", stepUp({ trainingDays: [top(8, { before: 4, during: 6, next: 4 })] }), "ease", "ease-pain-at-depth"],
  ["rise of 3 next day", stepUp({ trainingDays: [top(8, { next: 3 })] }), "ease", "ease-flare"],
  ["next day 6, whatever the rise", stepUp({ trainingDays: [top(8, { before: 5, during: 5, next: 6 })] }), "ease", "ease-flare"],
  ["more swelling", stepUp({ trainingDays: [top(8, { swelling: "more" })] }), "ease", "ease-flare"],
  ["effusion graded higher the day after", stepUp({ trainingDays: [{ ...top(8), effusionUpOn: "2026-03-09" }], now: march(9, "18:00") }), "ease", "ease-flare"],
  ["a flare laid at another item's door", stepUp({ trainingDays: [top(8, { next: 3 })], flare: { suspect: false, on: "2026-03-08", names: "Squat" }, }), "hold", "flare-elsewhere"],
  ["marked fault in 6 of 12 reps of the last set", stepUp({ trainingDays: [day(8, [...reps([12, 12]), ...reps([12], marked(6))])] }), "ease", "ease-marked-fault"],
  ["marked fault in 5 of 12", stepUp({ trainingDays: [day(8, [...reps([12, 12]), ...reps([12], marked(5))])] }), "hold", "short-of-top"],
  ["one set of 7, and 31 in all, on two days running", stepUp({ trainingDays: [day(5, reps([12, 12, 7])), day(8, reps([12, 12, 7]))] }), "hold", "short-of-top"],
  ["23 clean reps of 24 on two days running", stepUp({ trainingDays: [day(5, reps([8, 8, 7])), day(8, reps([8, 8, 7]))] }), "ease", "ease-too-few-clean"],
  ["7 clean reps on one day", stepUp({ trainingDays: [top(5), day(8, reps([12, 12, 7]))] }), "hold", "short-of-top"],
  ["less load, all reps: not too few", stepUp({ trainingDays: [day(5, reps([12, 12, 12], { loadKg: 4 })), day(8, reps([12, 12, 12], { loadKg: 4 }))], prescription: { variantId: "only", settings: { "step-height": 10 }, dose: { ...strength, loadKg: 6 } }, }), "hold", "easier-than-prescribed"],
  ["four weeks and a day away: measured again first", stepUp({ trainingDays: two(), now: "2026-04-07T10:00:00Z" }), "hold", "rebaseline"],
  // Stop: before everything.
  ["pinch of grade 2", stepUp({ trainingDays: [top(8, {}, { limit: { kind: "pinch", pinchGrade: 2 } })] }), "stop", "pinch-or-block"],
  ["a bony block", stepUp({ trainingDays: [top(8, {}, { limit: { kind: "block" } })] }), "stop", "pinch-or-block"],
  ["a stop signal over two good days", stepUp({ trainingDays: two(), stopSignals: [signal] }), "stop", "stop-signal"],
  ["a stop signal over a flare", stepUp({ trainingDays: [top(8, { next: 6 })], stopSignals: [signal] }), "stop", "stop-signal"],
  ["the signal cleared in writing", stepUp({ trainingDays: two(), stopSignals: [{ ...signal, clearedAt: march(9, "08:00") }] }), "step-up", "step-up"],
  // Plateau: nothing moved for three weeks although it was done.
  ["three weeks without a step", stepUp({ trainingDays: [3, 7, 11, 15, 19, 22, 24].map((d) => day(d + 1, reps([12, 12, 11]))), now: march(26, "10:00"), }), "plateau", "plateau"],
  ["the same, but half of the lane left out", stepUp({ trainingDays: [3, 7, 11, 15, 19, 22, 24].map((d) => day(d + 1, reps([12, 12, 11]))), now: march(26, "10:00"), laneAdherencePercent: 50, }), "hold", "short-of-top"],
  ["the same, under a fixed dose", stepUp({ trainingDays: [3, 7, 11, 15, 19, 22, 24].map((d) => day(d + 1, reps([12, 12, 11]))), now: march(26, "10:00"), prescription: { variantId: "only", settings: { "step-height": 10 }, dose: { ...strength, policy: "fixed" }, }, }), "hold", "policy-fixed"],
  // Schools.
  ["pain-free: pain 1 during holds", stepUp({ trainingDays: two({ during: 1 }), school: "pain-free" }), "hold", "pain-hold-band"],
  ["pain-free: pain 2 eases", stepUp({ trainingDays: two({ during: 2 }), school: "pain-free" }), "ease", "ease-pain-at-depth"],
  ["tendon: pain 3 goes on", stepUp({ trainingDays: two({ during: 3 }), school: "tendon" }), "step-up", "step-up"],
  ["tendon: any rise eases", stepUp({ trainingDays: two({ next: 1 }), school: "tendon" }), "ease", "ease-flare"],
  ["up to 4: pain 4 goes on", stepUp({ trainingDays: two({ during: 4 }), school: "threshold-4" }), "step-up", "step-up"],
  ["up to 4: pain 5 eases", stepUp({ trainingDays: two({ during: 5 }), school: "threshold-4" }), "ease", "ease-pain-at-depth"],
  // Effort bands and holds.
  ["squeeze in its band on two days", squeezeInput({ trainingDays: [day(8, squeezes()), day(10, squeezes())], now: march(11, "10:00") }), "step-up", "step-up"],
  ["squeeze below its band", squeezeInput({ trainingDays: [day(8, squeezes()), day(10, squeezes({ forceN: 80 }))], now: march(11, "10:00"), }), "hold", "short-of-top"],
  ["squeeze without a maximum measured: effort by feel counts, 6 of 10 for 50–70 %", squeezeInput({ trainingDays: [day(8, squeezes()), day(10, squeezes())], now: march(11, "10:00"), maximumN: undefined as never, }), "step-up", "step-up"],
];

describe("what should happen next", () => {
  it("has at least forty rows", () => expect(table.length).toBeGreaterThanOrEqual(40));
  it.each(table)("%s", (_what, input, outcome, rule) => {
    const proposal = decide(input);
    expect([proposal.outcome, proposal.rule]).toEqual([outcome, rule]);
  });
});

describe("what is told beside the outcome", () => {
  it("pain of 4 elsewhere on two days asks the clinician, and does not alter the step", () => {
    const proposal = decide(stepUp({ trainingDays: two({ during: 4 }, { painSite: "elsewhere" }) }));
    expect(proposal).toMatchObject({ outcome: "step-up", review: true });
    expect(proposal.evidence.at(-1)).toMatchObject({ code: "pain-elsewhere", values: { pain: 4, days: 2 } });
  });
  it("fear without pain is answered by exposure, named knob by knob, never by an ease", () => {
    const exercise = {
      ...stepUp({}).exercise,
      variants: stepUp({}).exercise.variants.map((v) => ({
        ...v,
        settings: { "step-height": 10, support: "none" },
        turns: [...v.turns, { knob: "support", ladder: ["two-hands", "one-hand", "none"] }],
      })),
    };
    const prescription = {
      variantId: "only",
      settings: { "step-height": 10, support: "none" },
      dose: strength,
    };
    const trainingDays = [top(5), top(8, {}, { limit: { kind: "fear" } })];
    const proposal = decide(stepUp({ exercise, prescription, trainingDays }));
    expect(proposal.outcome).toBe("hold");
    expect(proposal.evidence.at(-1)).toMatchObject({
      code: "fear-exposure",
      values: { knob: "support", to: "one-hand" },
    });
  });
  it("the other side below the bottom on two days is said", () => {
    const both = (date: number) => day(date, [...reps([12, 12, 12]), ...reps([6, 6, 6], { side: "right" })]);
    const proposal = decide(stepUp({ trainingDays: [both(5), both(8)] }));
    expect(proposal.outcome).toBe("step-up");
    expect(proposal.evidence.map(({ code }) => code)).toContain("other-side-short");
  });
  it("a flare names why this item is the suspect", () => {
    const proposal = decide(
      stepUp({
        trainingDays: [top(8, { next: 5 })],
        flare: { suspect: true, on: "2026-03-08", why: "changed" },
      }),
    );
    expect(proposal.evidence.find(({ code }) => code === "flare-suspect")?.values).toEqual({
      why: "changed",
    });
  });
  it("the tendon school is judged on a loading test where the report has one", () => {
    const tested = (...pains: number[]) =>
      pains.map((loadTestPain, i) => {
        const done = top(5 + 3 * i, { next: 0 });
        return { ...done, report: { receivedAt: march(6 + 3 * i, "06:30"), pain: 0, loadTestPain } };
      });
    expect(decide(stepUp({ school: "tendon", trainingDays: tested(2, 2) })).outcome).toBe("step-up");
    expect(decide(stepUp({ school: "tendon", trainingDays: tested(1, 2) })).rule).toBe("ease-flare");
    expect(decide(stepUp({ school: "tendon", trainingDays: tested(4, 4) })).rule).toBe("ease-flare");
    expect(decide(stepUp({ school: "monitored", trainingDays: tested(1, 2) })).outcome).toBe("step-up");
  });
});
