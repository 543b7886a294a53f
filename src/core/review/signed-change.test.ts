import { describe, expect, it } from "vitest";
import { stepUpInput } from "~tests/builders/decide-input";
import type { Proposal } from "~/core/decision/record/decide-input";
import { outcomes } from "~/core/decision/record/decide-input";
import { canAccept } from "~/core/decision/record/can-accept";
import { acceptedChange, signAnswer, type OfferedChange } from "./signed-change";

const at = "2026-03-10T09:00:00Z";
const { prescription } = stepUpInput();
const higher = { ...prescription, settings: { "step-height": 15 } };
const change = { kind: "knob" as const, knob: "step-height", from: 10, to: 15, prescription: higher };
const proposal = (over: Partial<Proposal> = {}): Proposal => ({
  outcome: "step-up",
  rule: "step-up",
  evidence: [],
  change,
  engineVersion: "1",
  ...over,
});
const offer = (over: Partial<OfferedChange> = {}): OfferedChange => ({
  ...change,
  direction: "harder",
  blockedBy: null,
  ...over,
});
const chosen = { direction: "harder", kind: "knob", knob: "step-height" };
const sign = (
  answer: Parameters<typeof signAnswer>[0],
  over: { proposal?: Proposal; alternatives?: OfferedChange[] } = {},
) => signAnswer(answer, { proposal: proposal(), prescription, alternatives: [offer()], ...over }, at);
const problem = (path: string) => ({ ok: false, problems: [expect.objectContaining({ path })] });

describe("what can be accepted", () => {
  it.each(outcomes)("%s", (outcome) =>
    expect(canAccept({ outcome })).toBe(!["hold", "wait"].includes(outcome)),
  );
});

describe("an answer to a proposal", () => {
  it("accepted: its change, harder, with the prescription before", () => {
    expect(sign({ action: "accept" })).toEqual({
      ok: true,
      applied: change,
      signedChange: { at, direction: "harder", knob: "step-height", before: prescription },
    });
  });

  it("an ease accepted keeps its cause; an offer without a knob is 'other'; a stop changes nothing", () => {
    const eased = acceptedChange(proposal({ outcome: "ease", rule: "ease-flare" }), prescription, at);
    expect(eased.signedChange).toMatchObject({ direction: "easier", cause: "flare" });
    const { change: _none, ...stopped } = proposal({ outcome: "stop", rule: "stop-signal" });
    expect(acceptedChange(stopped, prescription, at)).toEqual({ applied: null, signedChange: null });
  });

  it("refused or changed without a reason is no answer; refused with one leaves all as it is", () => {
    expect(sign({ action: "refuse" })).toEqual(problem("/reason"));
    expect(sign({ action: "change", alternative: chosen })).toEqual(problem("/reason"));
    expect(sign({ action: "refuse", reason: "tired" })).toEqual({
      ok: true,
      applied: null,
      signedChange: null,
    });
  });

  it("to a hold there is nothing to accept", () => {
    expect(sign({ action: "accept" }, { proposal: proposal({ outcome: "hold" }) })).toEqual(
      problem("/action"),
    );
  });

  it("a change of one's own is one that is offered, not barred, and not harder while stopped", () => {
    const own = { action: "change" as const, reason: "wants to", alternative: chosen };
    expect(sign(own)).toMatchObject({ ok: true, applied: change, signedChange: { direction: "harder" } });
    const applied = sign(own);
    expect(applied.ok && applied.applied).not.toHaveProperty("blockedBy");
    expect(sign({ ...own, alternative: { ...chosen, knob: "load" } })).toEqual(problem("/alternative"));
    expect(sign(own, { alternatives: [offer({ blockedBy: "the surgeon" })] })).toEqual(
      problem("/alternative"),
    );
    const stopped = proposal({ outcome: "stop", rule: "stop-signal" });
    expect(sign(own, { proposal: stopped })).toEqual(problem("/alternative"));
    const easier = { ...own, alternative: { ...chosen, direction: "easier" } };
    expect(sign(easier, { proposal: stopped, alternatives: [offer({ direction: "easier" })] }).ok).toBe(true);
  });
});

describe("a dose by the clinician's own hand", () => {
  const more = { ...prescription, dose: { ...prescription.dose, sets: 4, daysPerWeek: 4 } };
  const less = { ...prescription, dose: { ...prescription.dose, sets: 1 } };
  const own = (wanted: typeof prescription, outcome: Proposal["outcome"], over: object = {}) =>
    signAnswer(
      { action: "change", prescription: wanted, ...over },
      { proposal: proposal({ outcome }), prescription, alternatives: [] },
      at,
    );

  it("is one change of several knobs, with what was before", () => {
    expect(own(more, "step-up")).toEqual({
      ok: true,
      applied: { kind: "by-hand", altered: ["sets", "daysPerWeek"], prescription: more },
      signedChange: { at, direction: "harder", before: prescription },
    });
    expect(own(less, "hold")).toMatchObject({ signedChange: { direction: "easier", knob: "sets" } });
  });
  it("a field that is no knob is not called one", () => {
    const rested = { ...prescription, dose: { ...prescription.dose, restSeconds: 300 } };
    expect(own(rested, "hold")).toMatchObject({ ok: true, signedChange: { direction: "easier" } });
    expect(own(rested, "hold")).not.toHaveProperty("signedChange.knob");
  });
  it("that changes nothing is no answer", () =>
    expect(own(prescription, "hold")).toEqual(problem("/prescription")));

  // A reason only where it goes against what is proposed.
  it.each([
    ["more, where a step up is proposed", more, "step-up", true],
    ["more, where nothing is", more, "hold", false],
    ["more, where it waits", more, "wait", false],
    ["more, on a plateau", more, "plateau", false],
    ["more, where an ease is due", more, "ease", false],
    ["less, where an ease is due", less, "ease", true],
    ["less, where a step up is proposed", less, "step-up", true],
    ["less, where nothing is", less, "hold", true],
  ] as const)("%s", (_what, wanted, outcome, goesUnasked) => {
    expect(own(wanted, outcome).ok).toBe(goesUnasked);
    expect(own(wanted, outcome, { reason: "Talked it over" }).ok).toBe(true);
  });
  it("nothing gets harder in a stopped item, or while a signal is open, whatever the reason", () => {
    expect(own(more, "stop", { reason: "Talked it over" })).toEqual(problem("/prescription"));
    const halted = { proposal: proposal(), prescription, alternatives: [], halted: true };
    expect(signAnswer({ action: "change", prescription: more }, halted, at)).toEqual(
      problem("/prescription"),
    );
    expect(signAnswer({ action: "change", prescription: less }, halted, at).ok).toBe(true);
  });
});
