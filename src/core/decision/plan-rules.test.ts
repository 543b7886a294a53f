import { describe, expect, it } from "vitest";
import { exerciseWith, strength } from "~tests/builders/decide-input";
import type { Lane } from "~/core/exercise/body";
import type { Proposal } from "~/core/decision/record/decide-input";
import { flareSuspects, type FlareItem } from "./flare-suspects";
import { laneReadiness } from "./lane-readiness";
import { stepQueue } from "./step-queue";
import { suspends, type ScopedItem } from "./stop-scope";

/** The rules that look at a whole plan. All figures and orders: common practice. */

describe("what a stop signal suspends", () => {
  const scoped = (itemId: string, lane: Lane, contraction = "isometric"): ScopedItem => ({
    itemId,
    exercise: { ...exerciseWith({ contraction }, [], strength), id: itemId, lane },
    prescription: { variantId: "only", settings: { contraction }, dose: strength },
  });
  const curl = scoped("curl", "hamstrings");
  const bridge: ScopedItem = {
    ...scoped("bridge", "hip-extensors"),
    exercise: { ...scoped("bridge", "hip-extensors").exercise, alsoTrains: ["hamstrings"] },
  };
  const squat = scoped("squat", "knee-extensors");
  const press = scoped("press", "knee-extensors");
  const hop = scoped("hop", "knee-extensors", "plyometric");
  const run = scoped("run", "running");
  const plan = [curl, bridge, squat, press, hop, run];
  const struck = (scope: Parameters<typeof suspends>[0], seenIn: ScopedItem | null) =>
    plan.filter((item) => suspends(scope, item, seenIn)).map(({ itemId }) => itemId);

  it.each([
    ["item", squat, ["squat"]],
    ["lane", squat, ["squat", "press", "hop"]],
    ["impact", null, ["hop", "run"]],
    ["hamstrings", null, ["curl", "bridge"]],
    ["session", null, plan.map(({ itemId }) => itemId)],
    ["plan", squat, plan.map(({ itemId }) => itemId)],
  ] as const)("%s", (scope, seenIn, expected) => {
    expect(struck(scope, seenIn)).toEqual(expected);
  });
  it("where the exercise is not known, a scope that needs it suspends nothing", () => {
    expect(struck("item", null)).toEqual([]);
    expect(struck("lane", null)).toEqual([]);
  });
});

describe("whom a reaction is traced to", () => {
  const item = (itemId: string, over: Partial<FlareItem> = {}): FlareItem => ({
    itemId,
    changes: [],
    addedAt: null,
    during: "go",
    pain: 0,
    load: 0,
    loadsSite: false,
    ...over,
  });
  const harder = [{ at: "2026-03-09T08:00:00Z", direction: "harder" as const }];
  const easier = [{ at: "2026-03-09T08:00:00Z", direction: "easier" as const }];
  const window = { from: "2026-03-06T10:00:00Z", to: "2026-03-09T10:00:00Z" };
  const named = (items: readonly FlareItem[]) =>
    flareSuspects(items, window).map(({ itemId, why }) => `${itemId} ${why}`);

  it("first what was made harder within the last two training days", () => {
    const items = [
      item("a", { during: "hold" }),
      item("b", { changes: harder }),
      item("c", { loadsSite: true }),
    ];
    expect(named(items)).toEqual(["b changed"]);
  });
  it("not what was made easier, nor what was changed before or after, nor what was not done", () => {
    const old = [{ at: "2026-03-05T08:00:00Z", direction: "harder" as const }];
    const later = [{ at: "2026-03-10T08:00:00Z", direction: "harder" as const }];
    const items = [
      item("a", { changes: easier }),
      item("b", { changes: old }),
      item("c", { changes: later }),
      item("d", { changes: harder, during: null }),
      item("e", { during: "hold" }),
    ];
    expect(named(items)).toEqual(["e painful"]);
  });
  it("of two that load the site alike, the one with more stress under the kneecap; the plan's order where nobody can say", () => {
    const press = (itemId: string, stress?: number | null) =>
      item(itemId, { load: 3, ...(stress === undefined ? {} : { kneecap: () => stress }) });
    expect(named([press("a", 40), press("b", 90)])).toEqual(["b site"]);
    expect(named([press("a", 90), press("b", 40)])).toEqual(["a site"]);
    expect(named([press("a", null), press("b", 90)])).toEqual(["a site"]);
    expect(named([press("a"), press("b", 90)])).toEqual(["a site"]);
    expect(named([press("a", 10), press("b", null), press("c", 90)])).toEqual(["a site"]);
    // More stress does not outrank a heavier tag, nor pain.
    expect(
      named([item("a", { load: 3, kneecap: () => 1 }), item("b", { load: 2, kneecap: () => 99 })]),
    ).toEqual(["a site"]);
    expect(named([press("a", 90), { ...press("b", 10), during: "hold", pain: 4 }])).toEqual(["b painful"]);
  });
  it("then what hurt that day, then what loads the site, then what was done", () => {
    expect(named([item("a"), item("b", { during: "ease" }), item("c", { loadsSite: true })])).toEqual([
      "b painful",
    ]);
    expect(named([item("a"), item("b", { loadsSite: true }), item("c", { loadsSite: true })])).toEqual([
      "b site",
    ]);
    expect(named([item("a"), item("b")])).toEqual(["a done", "b done"]);
  });
  it("new to a plan that had been worked at counts as changed; what was there from the first does not", () => {
    const fresh = "2026-03-08T09:00:00Z";
    expect(named([item("a", { during: "hold" }), item("b", { addedAt: fresh })])).toEqual(["b changed"]);
    expect(named([item("a", { during: "hold" }), item("b", { addedAt: "2026-03-05T09:00:00Z" })])).toEqual([
      "a painful",
    ]);
  });
  it("of several the most painful, then what changed last, then the heaviest on the region, then the plan's order", () => {
    const changed = (at: string) => [{ at, direction: "harder" as const }];
    const early = changed("2026-03-07T08:00:00Z");
    const items = [
      item("order", { changes: early }),
      item("heavy", { changes: early, load: 3 }),
      item("late", { changes: harder, load: 1 }),
      item("painful", { changes: early, pain: 2 }),
    ];
    const without = (...ids: string[]) => items.filter(({ itemId }) => !ids.includes(itemId));
    expect(named(items)).toEqual(["painful changed", "late changed"]);
    expect(named(without("painful"))).toEqual(["late changed", "heavy changed"]);
    expect(named(without("painful", "late"))).toEqual(["heavy changed", "order changed"]);
  });
  it("what loads the site most is told by the load on the region, where that is known", () => {
    expect(named([item("a", { loadsSite: true, load: 1 }), item("b", { load: 2 })])).toEqual(["b site"]);
  });
  it("two at most, in the plan's order; nobody where nothing was done", () => {
    const three = ["a", "b", "c"].map((id) => item(id, { changes: harder }));
    expect(named(three)).toEqual(["a changed", "b changed"]);
    expect(named([item("a", { during: null })])).toEqual([]);
  });
});

describe("how a lane stands to the gate", () => {
  const lanes = ["knee-extensors", "trunk"] as const;
  const ready = { lane: "knee-extensors" as const, asFarAsItGoes: true };
  const climbing = { lane: "knee-extensors" as const, asFarAsItGoes: false };
  const state = (items: Parameters<typeof laneReadiness>[1], percent: number | null) =>
    laneReadiness(lanes, items, new Map([["knee-extensors", percent]])).map((lane) => lane.state);

  it("ready once every item is as far as the stage lets it go", () => {
    expect(state([ready], 100)).toEqual(["ready", "empty"]);
    expect(state([ready, climbing], 100)).toEqual(["on-the-way", "empty"]);
  });
  it("left out below 70 %, however good its items are; unknown is not left out", () => {
    expect(state([ready], 69.9)[0]).toBe("left-out");
    expect(state([ready], 70)[0]).toBe("ready");
    expect(state([climbing], null)[0]).toBe("on-the-way");
  });
});

describe("who steps first", () => {
  const proposal = (outcome: Proposal["outcome"], knob: boolean): Proposal => ({
    outcome,
    rule: outcome,
    evidence: [],
    engineVersion: "x",
    ...(knob
      ? {
          change: {
            kind: "knob",
            knob: "load",
            from: 1,
            to: 2,
            prescription: { variantId: "v", settings: {}, dose: strength },
          },
        }
      : {}),
  });
  const queued = (itemId: string, lane: Lane, outcome: Proposal["outcome"] = "step-up", knob = true) => ({
    itemId,
    lane,
    proposal: proposal(outcome, knob),
  });

  it("lanes that block the gate come first, then the plan's order", () => {
    const items = [queued("a", "trunk"), queued("b", "calf"), queued("c", "trunk"), queued("d", "calf")];
    expect([...stepQueue(items, new Set<Lane>(["calf"]))]).toEqual([
      ["b", 0],
      ["d", 1],
      ["a", 2],
      ["c", 3],
    ]);
  });
  it("holds, eases and 'ready for the next stage' stand in no queue", () => {
    const items = [
      queued("a", "trunk", "hold"),
      queued("b", "trunk", "ease"),
      queued("c", "trunk", "step-up", false),
    ];
    expect([...stepQueue(items, new Set())]).toEqual([]);
  });
});
