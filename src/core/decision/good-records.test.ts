import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { goodRecord, kinds, type GoodRecord, type Mishap } from "~tests/builders/good-records";
import { DecideInput, outcomes } from "./record/decide-input";
import { dosePolicies } from "~/core/dose/dose";
import { painSchoolCodes } from "~/core/response/pain-school";
import { check } from "~/core/schema/check";
import { decide } from "./decide";

const samples = fc.sample(goodRecord, { numRuns: 3_000, seed: 12 });
const answers = samples.map((record) => ({ ...record, proposal: decide(record.input) }));

/** The share of the samples of which something is true, per cent. */
const share = (is: (record: (typeof answers)[number]) => boolean) =>
  (100 * answers.filter(is).length) / answers.length;

describe("records that begin good reach what they are to test: at least one in twenty", () => {
  it.each(outcomes)("outcome %s", (outcome) => {
    expect(share(({ proposal }) => proposal.outcome === outcome)).toBeGreaterThanOrEqual(5);
  });
  it.each(dosePolicies)("policy %s", (policy) => {
    expect(share(({ kind }) => kind.policy === policy)).toBeGreaterThanOrEqual(5);
  });
  it.each(painSchoolCodes)("school %s", (school) => {
    expect(share(({ input }) => input.school === school)).toBeGreaterThanOrEqual(5);
  });
  it.each(["left", "right", "both"] as const)("injured side %s", (side) => {
    expect(share(({ input }) => input.involvedSide === side)).toBeGreaterThanOrEqual(5);
  });
  it.each(["each-side", "both-together"] as const)("work %s", (sides) => {
    expect(share(({ input }) => input.exercise.sides === sides)).toBeGreaterThanOrEqual(5);
  });
  it("with a load, with a force, with neither", () => {
    expect(share(({ kind }) => kind.dose.loadKg !== undefined)).toBeGreaterThanOrEqual(5);
    expect(share(({ kind }) => kind.dose.effort !== undefined)).toBeGreaterThanOrEqual(5);
    expect(share(({ kind }) => !kind.dose.effort && kind.dose.loadKg === undefined)).toBeGreaterThanOrEqual(
      5,
    );
  });
  it("every one of them is an input that the endpoint takes", () => {
    for (const { input } of samples.slice(0, 200))
      expect(check(DecideInput, input)).toMatchObject({ ok: true });
  });
});

const stepping = (record: GoodRecord) => record.kind.policy !== "fixed";
const outcomesOf = (mishap: Mishap, of: (record: GoodRecord) => boolean = stepping) =>
  new Set(answers.filter((r) => r.mishap === mishap && of(r)).map(({ proposal }) => proposal.outcome));

describe("what follows from the one thing that went wrong", () => {
  it("nothing: everybody steps whose dose steps", () => {
    expect([...outcomesOf("nothing")]).toEqual(["step-up"]);
    expect([...outcomesOf("nothing", (r) => !stepping(r))]).toEqual(["hold"]);
  });
  it("the last report is awaited: the step waits for it", () => {
    expect([...outcomesOf("report-awaited")]).toEqual(["wait"]);
  });
  it("pain in the set, a reaction, a marked fault, too few twice, twelve days away: ease", () => {
    for (const mishap of ["pain-in-the-set", "reaction", "marked-fault", "too-few-twice", "away"] as const)
      expect([mishap, ...outcomesOf(mishap)]).toEqual([mishap, "ease"]);
  });
  it("a signal, a pinch of grade 2: stop", () => {
    for (const mishap of ["signal", "pinch"] as const)
      expect([mishap, ...outcomesOf(mishap)]).toEqual([mishap, "stop"]);
  });
  it("stuck at the bottom for three weeks and more: plateau, where repetitions are counted", () => {
    const counted = (r: GoodRecord) =>
      r.kind.dose.reps !== undefined && r.kind.dose.reps.bottom < r.kind.dose.reps.top;
    expect([...outcomesOf("stuck", counted)]).toEqual(["plateau"]);
  });
  it("too tired: hold where effort is capped below that; barred by the surgeon: hold that names it", () => {
    const capped = (r: GoodRecord) => ["double-progression", "hold", "contacts"].includes(r.kind.policy);
    expect([...outcomesOf("tired", capped)]).toEqual(["hold"]);
    const barred = answers.filter(
      (r) => r.mishap === "barred" && r.kind.turns.length > 0 && r.kind.policy !== "scheduled",
    );
    expect(new Set(barred.map(({ proposal }) => proposal.rule))).toEqual(new Set(["restriction"]));
  });
  it("a step names the knob it turns, and turns no other", () => {
    for (const { proposal, input } of answers) {
      if (proposal.outcome !== "step-up") continue;
      expect(proposal.change && "knob" in proposal.change && proposal.change.knob).toBeTruthy();
      if (proposal.change && "prescription" in proposal.change)
        expect(proposal.change.prescription).not.toEqual(input.prescription);
    }
  });
});

it("all kinds of dose are tried", () => {
  for (const kind of kinds) expect(share((record) => record.kind === kind)).toBeGreaterThanOrEqual(5);
});
