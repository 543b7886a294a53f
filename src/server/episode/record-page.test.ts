import { expect, it } from "vitest";
import fc from "fast-check";
import type { RecordEntry } from "~/contract/record";
import { recordPage } from "./record-page";

const entry = (n: number, minute: number, kind: "turn" | "school"): RecordEntry => {
  const at = new Date(Date.UTC(2026, 2, 10, 9, minute)).toISOString();
  return kind === "school"
    ? { kind, at, by: String(n), school: "pain-free", reason: "" }
    : { kind, at, by: String(n), turn: "pause", reason: "", summary: null };
};
/** Newest first, many of one instant among them. */
const records = fc
  .array(fc.record({ minute: fc.nat(5), isSchool: fc.boolean() }), { maxLength: 40 })
  .map((drawn) =>
    drawn
      .map(({ minute, isSchool }, n) => entry(n, minute, isSchool ? "school" : "turn"))
      .sort((a, b) => Date.parse(b.at) - Date.parse(a.at)),
  );

function walked(all: readonly RecordEntry[], limit: number, only?: "school") {
  const seen: RecordEntry[] = [];
  let after: string | null | undefined;
  while (after !== null) {
    const page = recordPage(all, {
      limit: String(limit),
      ...(only ? { only } : {}),
      ...(after ? { after } : {}),
    });
    seen.push(...page.entries);
    after = page.next;
  }
  return seen;
}

it("page after page gives every entry once, in order, whatever stands at one instant and whatever is asked for alone", () => {
  fc.assert(
    fc.property(records, fc.integer({ min: 1, max: 9 }), (all, limit) => {
      expect(walked(all, limit)).toEqual(all);
      expect(walked(all, limit, "school")).toEqual(all.filter(({ kind }) => kind === "school"));
    }),
    { numRuns: 200, seed: 20 },
  );
});

it("what comes in between two pages shifts nothing", () => {
  const all = [3, 2, 2, 2, 1, 0].map((minute, n) => entry(n, minute, "turn"));
  const first = recordPage(all, { limit: "3" });
  const grown = [entry(9, 5, "school"), ...all];
  const second = recordPage(grown, { limit: "3", after: first.next ?? "" });
  expect([...first.entries, ...second.entries]).toEqual(all);
  expect(second.counts).toEqual({ school: 1, turn: 6 });
});

it("without a limit it is the whole", () => {
  const all = [2, 1, 0].map((minute, n) => entry(n, minute, "turn"));
  expect(recordPage(all, {})).toEqual({ entries: all, counts: { turn: 3 }, next: null });
});
