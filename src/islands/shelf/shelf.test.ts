import { afterEach, describe, expect, it } from "vitest";
import { waysFrom } from "~/messages/ways";
import { bandTyped, draftOfBand, newBand, newtonsOf, usualStretches, withRow } from "./band-draft";
import { shelfTyped } from "./LoadsFields";
import { loadsText, loadsTyped } from "./loads-text";

const usual = { weight: "kg", length: "cm", dates: "day-month" } as const;
afterEach(() => waysFrom(() => usual));

describe("loads as they are typed", () => {
  it("are read with commas, spaces or semicolons between, each once, from light to heavy", () => {
    expect(loadsTyped("4, 2;6  2.5,4")).toEqual([2, 2.5, 4, 6]);
    expect(loadsTyped("  ")).toEqual([]);
    for (const wrong of ["x", "2, -1", "0", "501", "1e9", "2..5"])
      expect(loadsTyped(wrong), wrong).toBeNull();
  });
  it("in pounds for whoever reads weights so; kept are kilograms", () => {
    waysFrom(() => ({ ...usual, weight: "lb" }));
    expect(loadsTyped("5, 10")).toEqual([2.27, 4.54]);
    expect(loadsText([2.27, 4.54])).toBe("5, 10");
  });
  it("make a shelf without the pieces that were left empty, and none while something cannot be read", () => {
    expect(shelfTyped({ dumbbells: "2, 4", barbell: "" })).toEqual({ dumbbells: [2, 4] });
    expect(shelfTyped({ dumbbells: "2, four" })).toBeNull();
  });
});

describe("a band as it is measured", () => {
  const draft = {
    ...newBand("0198f000-0000-7000-8000-000000000001"),
    name: " Red ",
    rows: [
      { stretch: "0", pull: "0" },
      { stretch: "50", pull: "1" },
      { stretch: "100", pull: "2,5" },
    ],
  };
  // One kilogram on a scale is 9.80665 N (standard gravity).
  it("is kept in newtons; the scale shows kilograms, or pounds", () => {
    const typed = bandTyped(draft);
    expect(typed).toMatchObject({
      ok: true,
      band: { name: "Red", restCm: 100, points: [{ forceN: 0 }, { forceN: 9.81 }, { forceN: 24.52 }] },
    });
    if (typed.ok) expect(bandTyped(draftOfBand(typed.band))).toEqual(typed);
    waysFrom(() => ({ ...usual, weight: "lb" }));
    expect(newtonsOf("10")).toBe(44.48);
  });
  it("says the field that is missing; rows that are wholly empty are left out", () => {
    expect(bandTyped(withRow(draft)).ok).toBe(true);
    expect(bandTyped({ ...draft, name: " " })).toEqual({ ok: false, field: "name" });
    expect(bandTyped({ ...draft, rest: "4" })).toEqual({ ok: false, field: "rest" });
    expect(bandTyped({ ...draft, rows: draft.rows.slice(0, 2) })).toEqual({ ok: false, field: "stretch-1" });
    expect(bandTyped({ ...draft, rows: [...draft.rows, { stretch: "120", pull: "" }] })).toEqual({
      ok: false,
      field: "pull-3",
    });
    expect(bandTyped({ ...draft, rows: [{ stretch: "x", pull: "1" }, ...draft.rows] })).toEqual({
      ok: false,
      field: "stretch-0",
    });
  });
  it("has the usual stretches by its own length, with what the scale showed kept", () => {
    expect(usualStretches({ ...draft, rest: "80" }).rows).toEqual([
      { stretch: "0", pull: "0" },
      { stretch: "80", pull: "1" },
      { stretch: "160", pull: "2,5" },
    ]);
    expect(usualStretches({ ...draft, rest: "" })).toMatchObject({ rows: draft.rows });
  });
});
