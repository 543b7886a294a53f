import { describe, expect, it } from "vitest";
import type { PhoneItem } from "~/contract/phone";
import { phoneNow } from "./phone-now";
import type { Waiting } from "./phone-store";

const item = (itemId: string, doneDays = 0) =>
  ({ itemId, stopped: false, doneDays, wantedDays: 3 }) as unknown as PhoneItem;
const view = {
  asOf: "2026-03-10T07:00:00Z",
  school: "monitored" as const,
  zone: "Europe/London",
  items: [item("a"), item("b", 3)],
  days: [],
  doneOn: [],
  morningOf: null,
  halted: null,
};
const session = (occurredAt: string, itemId?: string, painDuring = 0): Waiting => ({
  name: "tellSession",
  body: {
    id: "s",
    occurredAt,
    painBefore: 0,
    items: itemId
      ? [{ itemId, sets: [{ side: "both", painDuring, painSite: "episode", effort: 5, faults: [] }] }]
      : [],
  },
});
const signal = (code: "calf-hot" | "pinch-or-block" | "gives-way", itemId?: string): Waiting => ({
  name: "tellSignal",
  body: { id: "w", code, occurredAt: "2026-03-10T08:00:00Z", ...(itemId ? { itemId } : {}) },
});
const at = "2026-03-10T09:00:00Z";

describe("the plan on the phone, with what was not sent yet", () => {
  it("shows a day that was laid out, in its order; without one what is still wanted this week", () => {
    expect(phoneNow(view, [], at).todays.map(({ itemId }) => itemId)).toEqual(["a"]);
    const laid = { ...view, days: [{ date: "2026-03-10", items: ["b", "a"] }] };
    expect(phoneNow(laid, [], at).todays.map(({ itemId }) => itemId)).toEqual(["b", "a"]);
    expect(phoneNow({ ...view, days: [{ date: "2026-03-10", items: [] }] }, [], at).todays).toEqual([]);
  });

  it("says where today is done, and what of it goes before a training", () => {
    const usual = phoneNow(view, [], at);
    expect([usual.where, usual.beforeTraining]).toEqual([null, null]);
    const day = { date: "2026-03-10", items: ["b", "a"], where: "away" as const, beforeTraining: ["b"] };
    const now = phoneNow({ ...view, days: [day] }, [], at);
    expect(now.where).toBe("away");
    expect(now.beforeTraining?.map(({ itemId }) => itemId)).toEqual(["b"]);
  });

  it("knows a day as done before it is sent", () => {
    expect(phoneNow(view, [session("2026-03-10T07:00:00Z")], at).doneToday).toBe(true);
    expect(phoneNow(view, [session("2026-03-09T07:00:00Z")], at).doneToday).toBe(false);
  });

  it("asks for the morning after once, for two days at most", () => {
    const done = session("2026-03-09T18:00:00Z");
    expect(phoneNow(view, [done], at).morningOf).toBe("2026-03-09");
    expect(phoneNow(view, [done], "2026-03-09T20:00:00Z").morningOf).toBeNull();
    expect(phoneNow(view, [done], "2026-03-12T09:00:00Z").morningOf).toBeNull();
    // Sent in the evening, and not read again since.
    const sent = { ...view, asOf: "2026-03-09T20:00:00Z", doneOn: ["2026-03-09"] };
    expect(phoneNow(sent, [], at).morningOf).toBe("2026-03-09");
    expect(phoneNow({ ...sent, asOf: at }, [], at).morningOf).toBeNull();
    const told: Waiting = {
      name: "tellMorning",
      body: { id: "m", occurredAt: at, trainingDate: "2026-03-09", pain: 1 },
    };
    expect(phoneNow(view, [done, told], at).morningOf).toBeNull();
  });

  it("stops everything for a grave sign at once, one exercise for a pinch; all where it may be more than one", () => {
    expect(phoneNow(view, [signal("calf-hot")], at).halted).toEqual({
      code: "calf-hot",
      urgency: "same-day",
    });
    expect(phoneNow(view, [signal("calf-hot")], at).items.every(({ stopped }) => stopped)).toBe(true);
    const pinched = phoneNow(view, [signal("pinch-or-block", "a")], at);
    expect([pinched.halted, pinched.items.map(({ stopped }) => stopped)]).toEqual([null, [true, false]]);
    expect(phoneNow(view, [signal("gives-way", "a")], at).items.every(({ stopped }) => stopped)).toBe(true);
  });

  it("what is left of today is what nobody has done, here or as the clinic knows it, and what is not stopped", () => {
    const laid = { ...view, days: [{ date: "2026-03-10", items: ["a", "b"] }] };
    const ids = (now: ReturnType<typeof phoneNow>) => now.left.map(({ itemId }) => itemId);
    expect(ids(phoneNow(laid, [], at))).toEqual(["a", "b"]);
    expect(ids(phoneNow(laid, [session("2026-03-10T07:00:00Z", "a")], at))).toEqual(["b"]);
    expect(ids(phoneNow(laid, [session("2026-03-09T07:00:00Z", "a")], at))).toEqual(["a", "b"]);
    const known = { ...laid, items: [{ ...item("a"), lastDoneOn: "2026-03-10" }, item("b", 3)] };
    expect(ids(phoneNow(known, [], at))).toEqual(["b"]);
    expect(ids(phoneNow(laid, [signal("pinch-or-block", "b")], at))).toEqual(["a"]);
  });

  it("offers more only of a plan read today, with no sign, no morning and no pain above the rule still to be sent", () => {
    const harder = { knob: "load", to: 12, prescription: {} } as unknown as NonNullable<PhoneItem["harder"]>;
    const allowed = { ...view, items: [{ ...item("a"), harder }] };
    const offered = (waiting: Waiting[], over: Partial<typeof allowed> = {}) =>
      phoneNow({ ...allowed, ...over }, waiting, at).items[0]?.harder ?? null;
    expect(offered([])).toBe(harder);
    expect(offered([session("2026-03-10T07:00:00Z", "a", 2)])).toBe(harder);
    expect(offered([session("2026-03-10T07:00:00Z", "a", 3)])).toBeNull();
    expect(offered([session("2026-03-09T07:00:00Z", "a")])).toBeNull();
    expect(offered([signal("pinch-or-block", "b")])).toBeNull();
    expect(offered([], { asOf: "2026-03-09T22:00:00Z" })).toBeNull();
    expect(phoneNow({ ...allowed, morningOf: "2026-03-09" }, [], at).items[0]?.harder).toBeNull();
  });
});
