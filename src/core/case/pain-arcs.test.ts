import { describe, expect, it } from "vitest";
import type { SetRecord } from "~/core/response/session-record";
import { painArcsOf } from "./pain-arcs";

const set = (painDuring: number, fromDeg?: number, more: Partial<SetRecord> = {}): SetRecord => ({
  side: "left",
  painDuring,
  painSite: "episode",
  effort: 6,
  faults: [],
  ...(fromDeg === undefined ? {} : { painArc: { fromDeg } }),
  ...more,
});
const item = (id: string, exerciseId: string) => ({
  id,
  exerciseId,
  lane: "knee-extensors" as const,
  prescriptions: [],
});
const items = [item("a", "squat"), item("b", "bridge"), item("c", "squat")];
const day = (date: string, itemId: string, ...sets: SetRecord[]) => ({
  date,
  sessions: [{ id: date, at: `${date}T09:00:00Z`, painBefore: 0, items: [{ itemId, sets }] }],
});

describe("where a movement hurt", () => {
  it("of each day the worst set; of equally bad ones the first angle; under whatever item it was done", () => {
    const days = [
      day("2026-03-02", "a", set(3, 50), set(6, 70), set(6, 65)),
      day("2026-03-04", "c", set(4, 30, { painArc: { fromDeg: 30, toDeg: 50 } })),
    ];
    expect(painArcsOf({ items }, days, "squat")).toEqual([
      { date: "2026-03-02", fromDeg: 65, toDeg: null, pain: 6 },
      { date: "2026-03-04", fromDeg: 30, toDeg: 50, pain: 4 },
    ]);
  });
  it("leaves out other exercises, pain elsewhere and days without an angle", () => {
    const days = [
      day("2026-03-02", "b", set(6, 70)),
      day("2026-03-03", "a", set(6)),
      day("2026-03-04", "a", set(6, 70, { painSite: "muscle" })),
    ];
    expect(painArcsOf({ items }, days, "squat")).toEqual([]);
  });
  it("keeps the latest five", () => {
    const days = [1, 2, 3, 4, 5, 6].map((n) => day(`2026-03-0${n}`, "a", set(4, 40 + n)));
    expect(painArcsOf({ items }, days, "squat").map(({ fromDeg }) => fromDeg)).toEqual([42, 43, 44, 45, 46]);
  });
});
