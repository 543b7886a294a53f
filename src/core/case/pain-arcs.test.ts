import { describe, expect, it } from "vitest";
import type { SetRecord } from "~/core/response/session-record";
import { startingMeasures } from "~/catalogue/measures/all";
import type { MeasureResult } from "~/core/measure/measure";
import { measuredArcs } from "./measured-arcs";
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
const episode = {
  id: "e",
  involvedSide: "left",
  onsetOn: "2026-01-01",
  startedAt: "2026-01-05T08:00:00Z",
} as const;
const items = [item("a", "squat"), item("b", "bridge"), item("c", "squat")];
const squat = { id: "squat", family: "two-leg-squat" };
const file = { items, results: [], measures: [], episode };
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
    expect(painArcsOf(file, days, squat)).toEqual([
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
    expect(painArcsOf(file, days, squat)).toEqual([]);
  });
  it("keeps the latest five", () => {
    const days = [1, 2, 3, 4, 5, 6].map((n) => day(`2026-03-0${n}`, "a", set(4, 40 + n)));
    expect(painArcsOf(file, days, squat).map(({ fromDeg }) => fromDeg)).toEqual([42, 43, 44, 45, 46]);
  });
  describe("as it was measured", () => {
    const measures = startingMeasures.filter(({ code }) => code.startsWith("painful-arc"));
    const taken = (end: "from" | "to", value: number, more: Partial<MeasureResult> = {}): MeasureResult => ({
      id: `${end}-${more.takenOn ?? ""}-${more.side ?? ""}-${value}`,
      measure: `painful-arc-${end}`,
      side: "left",
      value,
      takenOn: "2026-03-04",
      occasion: "since-injury",
      position: "squat on two legs",
      ...more,
    });
    const arcs = (results: MeasureResult[], more: object = {}) =>
      measuredArcs({ results, measures, episode: { ...episode, ...more } }, squat);

    it("takes begin and end of one day, one leg and one movement together", () => {
      expect(arcs([taken("from", 40), taken("to", 65)])).toEqual([
        { date: "2026-03-04", fromDeg: 40, toDeg: 65 },
      ]);
      for (const other of [{ takenOn: "2026-03-05" }, { side: "right" as const }, { position: "lunge" }])
        expect(arcs([taken("from", 40), taken("to", 65, other)])).toMatchObject([{ toDeg: null }]);
    });
    it("knows no end that lies below the beginning", () => {
      expect(arcs([taken("from", 40), taken("to", 40)])).toMatchObject([{ fromDeg: 40, toDeg: null }]);
    });
    it("leaves out other movements, the other leg, what was before the injury, and what was corrected", () => {
      expect(arcs([taken("from", 40, { position: "squat on one leg" })])).toEqual([]);
      expect(arcs([taken("from", 40, { side: "right" })])).toEqual([]);
      expect(arcs([taken("from", 40, { occasion: "pre-injury" })])).toEqual([]);
      const wrong = taken("from", 14);
      expect(arcs([wrong, taken("from", 41, { supersedes: wrong.id })])).toMatchObject([{ fromDeg: 41 }]);
      expect(measuredArcs({ results: [taken("from", 40)], measures, episode }, { family: "bridge" })).toEqual(
        [],
      );
      expect(measuredArcs({ results: [taken("from", 40)], measures, episode }, {})).toEqual([]);
    });
    it("with both legs hurt the one that begins earlier stands for the day", () => {
      const both = [
        taken("from", 55),
        taken("from", 35, { side: "right" }),
        taken("to", 60, { side: "right" }),
      ];
      expect(arcs(both, { involvedSide: "both" })).toEqual([{ date: "2026-03-04", fromDeg: 35, toDeg: 60 }]);
    });
    it("stands in the place of what was felt on that day, between the other days", () => {
      const days = [
        day("2026-03-02", "a", set(6, 70)),
        day("2026-03-04", "a", set(5, 60)),
        day("2026-03-06", "a", set(4, 75)),
      ];
      const results = [taken("from", 52)];
      expect(painArcsOf({ ...file, measures, results }, days, squat)).toEqual([
        { date: "2026-03-02", fromDeg: 70, toDeg: null, pain: 6 },
        { date: "2026-03-04", fromDeg: 52, toDeg: null, pain: null },
        { date: "2026-03-06", fromDeg: 75, toDeg: null, pain: 4 },
      ]);
    });
  });
});
