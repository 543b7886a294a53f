import { describe, expect, it } from "vitest";
import type { CaseFile } from "~/core/case/case-file";
import { reviewCase } from "~/core/review/review-case";
import { march } from "~tests/builders/decide-input";
import { decision, plan, planCase, type PlanDay, type PlanItem } from "~tests/builders/plans";

/**
 * Whole plans, reasoned by hand from the rules of decisions before the engine was run (common practice): what is said of every
 * exercise when the plan as a whole bears on it. Prescribed on 3 March 2026, monitored, left knee, low irritability.
 */
const [a, b, c, d]: PlanItem[] = ["a", "b", "c", "d"].map((id) => ({ id }));
if (!a || !b || !c || !d) throw new Error("four exercises");
const two: PlanDay[] = [{ on: 5 }, { on: 8 }];
const morning = march(9, "10:00");
const high = { kneecap: "high", hip: "low", back: "low" } as const;
const low = { kneecap: "low", hip: "low", back: "low" } as const;
const six = ["a", "b", "c", "d", "e", "f"].map((id): PlanItem => ({ id }));
const sweep = (value: number, takenOn: string): CaseFile["results"][number] => ({
  id: `w${takenOn}`,
  measure: "effusion",
  side: "left",
  value,
  takenOn,
  recordedAt: `${takenOn}T07:00:00Z`,
  occasion: "since-injury",
});

describe("the week's budget", () => {
  it.each<[string, PlanItem[], Partial<CaseFile>, Record<string, string>]>([
    [
      "four of six step",
      six,
      {},
      {
        a: "step-up",
        b: "step-up",
        c: "step-up",
        d: "step-up",
        e: "hold change-budget",
        f: "hold change-budget",
      },
    ],
    [
      "two of four when irritable",
      [a, b, c, d],
      { episode: { ...planCase([], [], morning).episode, irritability: "high" } },
      { a: "step-up", b: "step-up", c: "hold change-budget", d: "hold change-budget" },
    ],
    [
      "the lane that keeps the gate shut comes first",
      [...["a", "b", "c", "d"].map((id): PlanItem => ({ id, lane: "trunk" })), { id: "e" }],
      {},
      { a: "step-up", b: "step-up", c: "step-up", d: "hold change-budget", e: "step-up" },
    ],
  ])("%s", (_what, items, over, expected) => expect(plan(items, two, morning, over)).toEqual(expected));
  it("what was made harder six days ago counts, seven days ago no more", () => {
    const used = ["b", "c", "d", "e"].map((id): PlanItem => ({ id, harderOn: 4 }));
    const days: PlanDay[] = [{ on: 5 }, { on: 8 }, { on: 9, without: ["b", "c", "d", "e"] }];
    expect(plan([a, ...used], days, march(10, "10:00"))).toMatchObject({ a: "hold change-budget" });
    expect(plan([a, ...used], days, march(11, "10:00"))).toMatchObject({ a: "step-up" });
  });
  it("who is counted already takes nobody's place", () => {
    const items: PlanItem[] = [{ id: "a", harderOn: 4 }, { id: "b", harderOn: 4 }, c, d];
    const run = [{ on: 5 }, { on: 7 }, { on: 9 }];
    expect(plan(items, run, march(10, "10:00"))).toEqual({
      a: "step-up",
      b: "step-up",
      c: "step-up",
      d: "step-up",
    });
  });
});

describe("landings of the whole plan", () => {
  // 3 × 6 on each leg are 36 a day; the next rung, 3 × 8, makes 48. A hundred a day are the most.
  const hops = (n: number) => ["p", "q", "r"].slice(0, n).map((id): PlanItem => ({ id, spring: true }));
  it.each([
    [2, "step-up"],
    [3, "hold plan-contacts"],
  ])("%d exercises of them: %s", (n, expected) => {
    const late = [{ id: "m", at: march(1, "08:00"), stage: "run-and-jump", reason: "placed" }];
    const said = plan([...hops(n), { id: "runs", lane: "running" }], two, morning, { stageMoves: late });
    for (const { id } of hops(n)) expect(said[id]).toBe(expected);
    expect(said["runs"]).toBe("step-up");
  });
});

describe("a reaction of the plan", () => {
  const flared = (day: Partial<PlanDay> = {}): PlanDay[] => [
    { on: 5 },
    { on: 8, before: 1, next: 5, ...day },
  ];
  it.each<[string, PlanItem[], PlanDay[], Record<string, string>]>([
    [
      "what was made harder is eased, the rest holds",
      [{ id: "a", harderOn: 7 }, b, c],
      flared(),
      { a: "ease ease-flare", b: "hold flare-elsewhere", c: "hold flare-elsewhere" },
    ],
    [
      "two that were",
      [{ id: "a", harderOn: 7 }, { id: "b", harderOn: 7 }, c],
      flared(),
      { a: "ease ease-flare", b: "ease ease-flare", c: "hold flare-elsewhere" },
    ],
    [
      "of three the two that hurt most",
      [
        { id: "a", harderOn: 7 },
        { id: "b", harderOn: 7 },
        { id: "c", harderOn: 7 },
      ],
      flared({ pain: { b: 1, c: 2 } }),
      { a: "hold flare-elsewhere", b: "ease ease-flare", c: "ease ease-flare" },
    ],
    [
      "none changed: what hurt",
      [a, b, c],
      flared({ pain: { b: 3 } }),
      { a: "hold flare-elsewhere", b: "ease ease-flare", c: "hold flare-elsewhere" },
    ],
    [
      "none changed, none hurt: the heaviest on the knee",
      [
        { id: "a", loads: low },
        { id: "b", loads: high },
      ],
      flared(),
      { a: "hold flare-elsewhere", b: "ease ease-flare" },
    ],
    [
      "what joined the plan since",
      [a, { id: "b", from: 7 }, c],
      flared(),
      { a: "hold flare-elsewhere", b: "ease ease-flare", c: "hold flare-elsewhere" },
    ],
    [
      "more swelling is one",
      [{ id: "a", harderOn: 7 }, b],
      flared({ next: 1, swelling: "more" }),
      { a: "ease ease-flare", b: "hold flare-elsewhere" },
    ],
    [
      "told too late it is one all the same",
      [{ id: "a", harderOn: 7 }, b],
      flared({ reportAt: march(10, "12:00") }),
      { a: "ease ease-flare", b: "hold report-missing" },
    ],
    [
      "what was not done that day is no suspect",
      [{ id: "a", harderOn: 7 }, b],
      flared({ without: ["a"] }),
      { b: "ease ease-flare" },
    ],
  ])("%s", (_what, items, days, expected) =>
    expect(plan(items, days, march(10, "13:00"))).toMatchObject(expected),
  );
  it("a light day after it does not dissolve the trace, nor make new suspects", () => {
    const days: PlanDay[] = [...flared(), { on: 9, without: ["a", "b"] }];
    expect(plan([{ id: "a", harderOn: 7 }, b, c], days, march(10, "13:00"))).toMatchObject({
      a: "ease ease-flare",
      b: "hold flare-elsewhere",
    });
  });
  it("three fine days end it", () => {
    const days: PlanDay[] = [...flared(), { on: 10 }, { on: 12 }, { on: 14 }];
    expect(Object.values(plan([{ id: "a", harderOn: 7 }, b], days, march(15, "10:00")))).not.toContain(
      "ease ease-flare",
    );
    expect(plan([{ id: "a", harderOn: 7 }, b], days.slice(0, 4), march(13, "10:00"))).toMatchObject({
      a: "ease ease-flare",
    });
  });
  it("once the suspect is answered nobody else is held for it", () => {
    const answered = decision("a", 9, { direction: "easier", cause: "flare" });
    const file = planCase([{ id: "a", harderOn: 7 }, b], flared(), march(10, "13:00"));
    const answers = { ...file, decisions: [...file.decisions, { ...answered, at: march(9, "12:00") }] };
    const codes = reviewCase(answers).items[1]?.proposal.evidence.map(({ code }) => code);
    expect(codes).not.toContain("flare-elsewhere");
  });
});

describe("ceilings and effusion", () => {
  it.each<[string, PlanDay[], Partial<CaseFile>, Record<string, RegExp>]>([
    [
      "waking pain of 7 is a reaction, and holds what is not eased",
      [{ on: 5 }, { on: 8, before: 7, next: 7 }],
      {},
      { a: /^ease ease-flare$/, b: /^ease ease-flare$/, c: /^hold/ },
    ],
    [
      "2+ holds everything",
      two,
      { results: [sweep(3, "2026-03-04")] },
      { a: /^hold effusion-high$/, b: /^hold effusion-high$/, c: /^hold effusion-high$/ },
    ],
    [
      "a grade up eases once, from its date on, the one that loads the site; the rest holds",
      two,
      { results: [sweep(0, "2026-03-04"), sweep(1, "2026-03-08")] },
      { a: /^ease ease-flare$/, b: /^hold/, c: /^hold/ },
    ],
    [
      "a stable trace bars nothing",
      two,
      { results: [sweep(1, "2026-03-04")] },
      { a: /^step-up$/, b: /^step-up$/, c: /^step-up$/ },
    ],
  ])("%s", (_what, days, over, expected) => {
    const said = plan([a, b, c], days, morning, over);
    for (const [id, words] of Object.entries(expected)) expect(said[id]).toMatch(words);
  });
  it("a stable 1+ bars springs and much load on the kneecap, and nothing else", () => {
    const items: PlanItem[] = [a, { id: "hops", spring: true }, { id: "deep", loads: high }];
    const said = plan(items, two, morning, { results: [sweep(2, "2026-03-04")] });
    expect(said).toEqual({ a: "step-up", hops: "hold effusion-some", deep: "hold effusion-some" });
  });
  it("a weekly mean up by more than a point holds everything, and says so", () => {
    const days = [3, 5, 10, 12].map((on): PlanDay => (on < 8 ? { on } : { on, pain: { a: 2 } }));
    for (const { proposal } of reviewCase(planCase([a, b], days, march(13, "10:00"))).items) {
      expect(proposal.outcome).toBe("hold");
      expect(proposal.evidence.map(({ code }) => code)).toContain("mean-rising");
    }
  });
});
