import { describe, expect, it } from "vitest";
import { caseExample } from "~/core/calculation/examples";
import type { CaseEvent } from "~/core/event/event";
import type { Restriction } from "~/core/limit/restriction";
import type { CaseFile } from "./case-file";
import { gateDates, limitsOf } from "./in-force";
import { haltsOf, openSignalsOf, pinchesKept } from "./stops";
import { withEvents } from "./with-events";

const asOf = "2026-03-11T07:00:00Z";
const event = (over: Partial<CaseEvent>): CaseEvent => ({
  id: "e",
  at: "2026-03-01T08:00:00Z",
  kind: "operation",
  on: "2026-02-28",
  reason: "letter",
  ...over,
});
const file = (over: Partial<CaseFile> = {}): CaseFile => ({ ...caseExample, asOf, ...over });
const [stage] = caseExample.pathway.stages;
if (!stage) throw new Error("the example has stages");
const limit = (says: string): Restriction => ({ kind: "running", origin: "procedure", says });
const says = (given: CaseFile) => limitsOf(given, stage).map((one) => one.says);

describe("what the clocks count from", () => {
  it("an operation that was signed, the latest of several, with its graft", () => {
    const events = [
      event({ graft: "donor" }),
      event({ id: "f", on: "2026-03-05", at: "2026-03-06T08:00:00Z" }),
    ];
    expect(withEvents(file({ events })).episode).toMatchObject({ surgeryOn: "2026-03-05" });
    expect(withEvents(file({ events, asOf: "2026-03-02T08:00:00Z" })).episode).toMatchObject({
      surgeryOn: "2026-02-28",
      graft: "donor",
    });
  });
  it("is the same when asked twice", () => {
    const once = withEvents(file({ events: [event({ graft: "donor" })] }));
    expect(withEvents(once)).toEqual(once);
  });
  it("a date that lay ahead is planned: even when its day has come it is no operation in a stage before it", () => {
    const planned = (surgeryOn: string, beforeSurgery: boolean, over: Partial<CaseFile> = {}) => {
      const [first, ...rest] = caseExample.pathway.stages;
      if (!first) throw new Error("the example has stages");
      const pathway = { ...caseExample.pathway, stages: [{ ...first, beforeSurgery }, ...rest] };
      return withEvents(file({ pathway, episode: { ...caseExample.episode, surgeryOn }, ...over })).episode
        .surgeryOn;
    };
    expect(planned("2026-04-01", false)).toBeUndefined();
    expect(planned("2026-03-05", true)).toBeUndefined();
    // Records from before there were events, moved on since: the operation had been done.
    expect(planned("2026-03-05", false)).toBe("2026-03-05");
    expect(planned("2026-02-23", true)).toBe("2026-02-23");
    expect(
      planned("2026-03-05", true, { events: [event({ on: "2026-03-06", at: "2026-03-07T08:00:00Z" })] }),
    ).toBe("2026-03-06");
  });
  it("one that was taken back or corrected did not happen on its day", () => {
    const done = { ...caseExample.episode, surgeryOn: "2026-02-28" };
    const back = [
      event({}),
      event({ id: "f", supersedes: "e", withdrawn: true, at: "2026-03-02T08:00:00Z" }),
    ];
    expect(withEvents(file({ episode: done, events: back })).episode.surgeryOn).toBeUndefined();
    const moved = [
      event({}),
      event({ id: "f", supersedes: "e", on: "2026-02-27", at: "2026-03-02T08:00:00Z" }),
    ];
    expect(withEvents(file({ episode: done, events: moved })).episode.surgeryOn).toBe("2026-02-27");
  });
  it("an injury that was corrected, and one anew", () => {
    const events = [
      event({ kind: "injury", on: "2026-02-20" }),
      event({ id: "f", kind: "reinjury", on: "2026-03-03" }),
    ];
    expect(withEvents(file({ events })).episode.onsetOn).toBe("2026-02-20");
    expect(gateDates(file({ events }))).toEqual({ onsetOn: "2026-03-03", reinjuredOn: "2026-03-03" });
  });
});

describe("what an operation limits", () => {
  const timed = {
    untilDay: 84,
    limit: limit("by the calendar"),
    source: { kind: "common-practice" as const },
  };
  const pathway = { ...caseExample.pathway, countsFrom: "surgery" as const, timedLimits: [timed] };
  it("is what was signed with it; all operations together", () => {
    const events = [event({ limits: [limit("first")] }), event({ id: "f", limits: [limit("second")] })];
    expect(says(file({ events }))).toEqual(expect.arrayContaining(["first", "second"]));
  });
  it("nothing before it was done or signed", () => {
    const events = [event({ on: "2026-03-20", limits: [limit("first")] })];
    expect(says(file({ events }))).not.toContain("first");
    expect(
      says(file({ events: [event({ at: "2026-03-12T08:00:00Z", limits: [limit("first")] })] })),
    ).not.toContain("first");
  });
  it("is the pathway's calendar for records from before there were events, and not before the operation", () => {
    const operated = { ...caseExample.episode, surgeryOn: "2026-03-01" };
    expect(says(file({ pathway, episode: operated }))).toContain("by the calendar");
    expect(says(file({ pathway }))).not.toContain("by the calendar");
    const events = [event({ on: "2026-03-01", limits: [limit("signed")] })];
    expect(says(file({ pathway, episode: operated, events }))).not.toContain("by the calendar");
  });
  it("a second operation leaves what the first, stated before there were events, still limits", () => {
    const operated = { ...caseExample.episode, surgeryOn: "2026-02-23" };
    const events = [event({ on: "2026-03-05", at: "2026-03-06T08:00:00Z", limits: [limit("second")] })];
    const both = file({ pathway, episode: operated, events });
    expect(says(both)).toEqual(expect.arrayContaining(["by the calendar", "second"]));
    expect(says(withEvents(both))).toEqual(says(both));
  });
  it("conditions and the person's other episodes limit as well", () => {
    const falls = {
      code: "falls" as const,
      at: "2026-03-01T08:00:00Z",
      short: "falls",
      says: "x",
      limits: [limit("falls")],
    };
    expect(says(file({ conditions: [falls], limitsElsewhere: [limit("elsewhere")] }))).toEqual(
      expect.arrayContaining(["falls", "elsewhere"]),
    );
    expect(says(file({ conditions: [{ ...falls, endedAt: "2026-03-10T08:00:00Z" }] }))).not.toContain(
      "falls",
    );
  });
});

describe("stops that stay", () => {
  const signal = { id: "s", code: "calf-hot" as const, at: "2026-03-10T08:00:00Z" };
  it("a signal is open from when it was raised until it was cleared", () => {
    const open = (over: object, at: string) =>
      openSignalsOf({ signals: [{ ...signal, ...over }], asOf: at }).length;
    expect([open({}, "2026-03-10T07:59:00Z"), open({}, "2026-03-10T08:00:00Z")]).toEqual([0, 1]);
    const cleared = { cleared: { at: "2026-03-10T12:00:00Z", reason: "scan" } };
    expect([open(cleared, "2026-03-10T11:59:00Z"), open(cleared, "2026-03-10T12:00:00Z")]).toEqual([1, 0]);
  });
  it("the most urgent of those that halt comes first; what suspends one exercise halts nothing", () => {
    const signals = [
      signal,
      { ...signal, id: "t", code: "saddle-bladder" as const },
      { ...signal, id: "u", code: "gives-way" as const },
    ];
    expect(haltsOf({ signals, asOf }).map(({ code }) => code)).toEqual(["saddle-bladder", "calf-hot"]);
  });
  it("a block in a session that was corrected counts until the exercise is cleared", () => {
    const [first, ...rest] = caseExample.sessions;
    if (!first) throw new Error("the example has sessions");
    const blocked = {
      ...first,
      items: first.items.map((item) => ({
        ...item,
        sets: item.sets.map((set) => ({ ...set, limit: { kind: "block" as const } })),
      })),
    };
    const correction = { ...first, id: "correction", supersedes: first.id };
    const corrected = file({ sessions: [blocked, correction, ...rest] });
    const own = { id: "i1", exerciseId: caseExample.items[0]?.exerciseId ?? "" };
    expect(pinchesKept(file({ sessions: [blocked, ...rest] }), own)).toEqual([]);
    const setting = { ...own, id: "i9" };
    expect(pinchesKept(file({ sessions: [blocked, ...rest] }), setting)).toHaveLength(1);
    expect(pinchesKept(corrected, own)).toMatchObject([{ code: "pinch-or-block" }]);
    expect(pinchesKept(corrected, own)[0]).not.toHaveProperty("clearedAt");
    expect(pinchesKept(file(), own)).toEqual([]);
    expect(pinchesKept(corrected, { id: "i9", exerciseId: "another" })).toEqual([]);
    const clearances = [{ id: "c", itemId: "i1", at: "2026-03-11T06:00:00Z", reason: "free" }];
    expect(pinchesKept({ ...corrected, clearances }, own)[0]).toHaveProperty("clearedAt");
  });
});
