import { describe, expect, it } from "vitest";
import type { TrainingDay } from "~/core/response/session-record";
import { march, stepUpInput } from "~tests/builders/decide-input";
import { arrived, at, codes, poor, said, top, two } from "~tests/builders/side-steps";

/**
 * Records whose answer a hurried reading gets wrong: returns, late arrivals, poor days without a report, effusion, ceilings, both
 * sides. Reasoned by hand from the rules of response (common practice) before the engine was run on them. The item is
 * a side step-up at 10 cm, 3 × 8–12, left side, monitored, prescribed on 3 March 2026.
 */
describe("away and back", () => {
  it.each([
    [
      "three weeks away and one session back",
      [top(5), top(8), top(29)],
      march(30, "10:00"),
      "ease: ease-absence",
    ],
    ["a gap of twenty days inside a run of two", [top(5), top(25)], march(26, "10:00"), "ease: ease-absence"],
    ["seven days between them", [top(5), top(12)], march(13, "10:00"), "step-up: step-up"],
    ["eight days between them", [top(5), top(13)], march(14, "10:00"), "ease: ease-absence"],
    ["back, and a full run since", [top(5), top(20), top(22)], march(23, "10:00"), "step-up: step-up"],
    [
      "back with pain after ten days: the pain names it",
      [top(5), top(15, { during: 7 })],
      march(16, "10:00"),
      "ease: ease-pain-at-depth",
    ],
    [
      "back with pain after fifteen: the absence does",
      [top(5), top(20, { during: 7 })],
      march(21, "10:00"),
      "ease: ease-absence",
    ],
  ] as const)("%s", (_what, days, now, expected) => {
    expect(said(now, [...days])).toBe(expected);
  });
  it("after more than four weeks everything is measured again, though somebody came back once; that asks for a look", () => {
    const back = at("2026-04-08T10:00:00Z", [
      top(5),
      { ...top(5), date: "2026-04-07", lastSessionAt: "2026-04-07T09:00:00Z" },
    ]);
    expect(back).toMatchObject({ outcome: "hold", rule: "rebaseline", review: true });
  });
  it("an answer to the return ends it, and a new run is needed", () => {
    const answer = { answeredAt: march(21, "08:00"), leftAsIsAt: march(21, "08:00") };
    expect(said(march(21, "10:00"), [top(5), top(8), top(20)], answer)).not.toContain("absence");
    const next = [top(5), top(8), top(20), top(22)];
    expect(said(march(23, "10:00"), next, answer)).toBe("step-up: step-up");
    expect(codes(march(23, "10:00"), next.slice(0, 3), answer)).toContain("run-too-short");
  });
  it("an answer to an absence that lasts counts from there: the same is not put again the next day", () => {
    const long = [top(5)];
    const measured = { answeredAt: "2026-04-08T10:00:00Z", leftAsIsAt: "2026-04-08T10:00:00Z" };
    expect(said("2026-04-08T09:00:00Z", long)).toBe("hold: rebaseline");
    expect(said("2026-04-09T09:00:00Z", long, measured)).not.toContain("rebaseline");
    expect(said("2026-04-15T09:00:00Z", long, measured)).not.toContain("absence");
    expect(said("2026-04-16T09:00:00Z", long, measured)).toBe("ease: ease-absence");
    const early = { answeredAt: march(9, "10:00"), leftAsIsAt: march(9, "10:00") };
    expect(said(march(13, "09:00"), long, early)).toBe("ease: ease-absence");
  });
  it("days are local dates: half past midnight is a day later", () => {
    const late = { ...top(5), lastSessionAt: march(5, "22:30") };
    expect(said(march(12, "22:59"), [top(4), late])).toBe("step-up: step-up");
    expect(said(march(12, "23:01"), [top(4), late])).toBe("ease: ease-absence");
  });
});

describe("poor days that nobody reported on", () => {
  it.each([
    [
      "this morning's session was poor",
      [...two, poor(9, { next: null })],
      march(9, "18:00"),
      "hold: short-of-top",
    ],
    [
      "a poor unreported day after two good ones",
      [...two, poor(10, { next: null })],
      march(12, "10:00"),
      "hold",
    ],
    [
      "a good unreported day between two good ones",
      [top(5), top(6, { next: null }), top(8)],
      march(9, "10:00"),
      "step-up",
    ],
    [
      "a poor unreported day between them",
      [top(5), poor(6, { next: null }), top(8)],
      march(9, "10:00"),
      "hold",
    ],
    [
      "two unreported days between them",
      [top(4), top(5, { next: null }), top(6, { next: null }), top(8)],
      march(9, "10:00"),
      "hold",
    ],
  ] as const)("%s", (_what, days, now, expected) => {
    expect(said(now, [...days])).toContain(expected);
  });
  it("a report that came too late is none for good news, and bad news in it still eases", () => {
    const late = (next: number) => [top(5), top(8, { next, reportAt: march(10, "09:30") })];
    expect(said(march(10, "10:00"), late(0))).toContain("hold");
    expect(said(march(10, "10:00"), late(5))).toBe("ease: ease-flare");
  });
});

describe("what arrives after a signature", () => {
  const before = top(6, { during: 7 });
  const answered = { answeredAt: march(8, "10:00") };
  it("was not seen by whoever signed, and is judged anew", () => {
    expect(said(march(9, "10:00"), [top(5), arrived(before, march(8, "12:00"))], answered)).toBe(
      "ease: ease-pain-at-depth",
    );
    expect(said(march(9, "10:00"), [top(5), arrived(before, march(8, "09:00"))], answered)).toContain(
      "hold: ",
    );
  });
  it("a pinch from before a clearance that reached the record after it stops again", () => {
    const pinch = top(6, {}, { limit: { kind: "pinch", pinchGrade: 3 } });
    const cleared = { clearedAt: march(8, "10:00") };
    expect(said(march(9, "10:00"), [arrived(pinch, march(8, "12:00"))], cleared)).toBe(
      "stop: pinch-or-block",
    );
    expect(said(march(9, "10:00"), [arrived(pinch, march(8, "09:00"))], cleared)).not.toContain("stop");
  });
  it("the order of arrival changes nothing where nobody signed between", () => {
    const [first, second] = [top(5), top(8, { during: 7 })];
    const one = at(march(9, "10:00"), [arrived(first, march(8, "20:00")), second]);
    expect(one).toEqual(at(march(9, "10:00"), [first, arrived(second, march(8, "21:00"))]));
  });
});

describe("an ease that nobody answered", () => {
  const bad = top(5, { during: 7 });
  it("stays due after one good day, and until a full run of them", () => {
    expect(said(march(9, "10:00"), [bad, top(8)])).toBe("ease: ease-pain-at-depth");
    expect(said(march(11, "10:00"), [bad, top(8), top(10)])).toBe("step-up: step-up");
  });
  it("a flare stays until three fine days have followed", () => {
    const flare = top(4, { next: 4 });
    expect(said(march(9, "10:00"), [flare, top(6), top(8)])).toBe("ease: ease-flare");
    expect(said(march(11, "10:00"), [flare, top(6), top(8), top(10)])).toBe("step-up: step-up");
  });
});

describe("effusion", () => {
  const graded = (date: string, on = 8): TrainingDay[] => [top(5), { ...top(on), effusionUpOn: date }];
  it.each([
    ["found the next morning at six", graded("2026-03-09"), march(9, "05:00"), "ease: ease-flare"],
    [
      "found on the training day",
      [top(5), { ...top(8, { next: null }), effusionUpOn: "2026-03-08" }],
      march(8, "18:00"),
      "ease: ease-flare",
    ],
    ["found four days later", graded("2026-03-12"), march(12, "10:00"), "ease: ease-flare"],
  ] as const)("%s", (_what, days, now, expected) => {
    expect(said(now, [...days])).toBe(expected);
  });
  it.each([
    ["answered, and still above what it was", { grade: 2, raised: true }, "hold: effusion-raised"],
    ["2+ as a first finding", { grade: 3, raised: false }, "hold: effusion-high"],
    ["a stable 1+, no spring", { grade: 2, raised: false }, "step-up: step-up"],
    ["a trace", { grade: 1, raised: false }, "step-up: step-up"],
  ] as const)("%s", (_what, effusion, expected) => {
    expect(said(march(9, "10:00"), two, { effusion })).toBe(expected);
  });
  it("a stable 1+ bars work that loads the kneecap much; 2+ asks for a look", () => {
    const { exercise } = stepUpInput();
    const loads = { kneecap: "high", hip: "low", back: "low" } as const;
    const effusion = { grade: 2, raised: false };
    expect(said(march(9, "10:00"), two, { effusion, exercise: { ...exercise, loads } })).toBe(
      "hold: effusion-some",
    );
    expect(at(march(9, "10:00"), two, { effusion: { grade: 3, raised: false } }).review).toBe(true);
  });
});
