import { describe, expect, it } from "vitest";
import { startingMeasures } from "~/catalogue/measures/all";
import { VisitBody } from "~/contract/measures";
import { check } from "~/core/schema/check";
import {
  draftFaults,
  emptyRow,
  pastedLines,
  readSide,
  toVisit,
  type RowEntry,
  type VisitDraft,
} from "./entry-draft";

const measures = new Map(startingMeasures.map((measure) => [measure.code, measure]));
const named = (code: string) => {
  const found = measures.get(code);
  if (!found) throw new Error(code);
  return found;
};
const adduction = named("hip-adduction-force");
const draft = (code: string, change: Partial<RowEntry>): VisitDraft => ({
  id: "01890a5d-ac96-774b-bcce-b302099a8057",
  takenOn: "2026-03-10",
  codes: [code],
  rows: { [code]: { ...emptyRow(named(code)), ...change } },
});

describe("a row as typed", () => {
  it("reads decimal commas, units behind the number, and the unit of the column", () => {
    const typed = { ...emptyRow(adduction), sides: { left: { trials: ["180,5", "18.4 kgf", ""] } } };
    const reading = readSide(adduction, typed, "left");
    expect(reading.values[0]).toBe(180.5);
    expect(reading.values[1]).toBeCloseTo(180.44, 2);
    expect(reading.value).toBe(180.5);
    const pounds = { ...typed, unit: "[lbf_av]", sides: { left: { trials: ["40"] } } };
    expect(readSide(adduction, pounds, "left").value).toBeCloseTo(177.93, 2);
  });
  it("says cell by cell what is wrong, and keeps the rest", () => {
    const typed = { ...emptyRow(adduction), sides: { left: { trials: ["180", "18o", "9000"] } } };
    expect(readSide(adduction, typed, "left")).toMatchObject({
      values: [180],
      faults: [null, "unknown-unit", "too-high"],
    });
  });
  it("takes a grade by its word", () => {
    const effusion = named("effusion");
    const typed = { ...emptyRow(effusion), sides: { left: { trials: ["Trace"] } } };
    expect(readSide(effusion, typed, "left").value).toBe(1);
  });
});

describe("a draft", () => {
  it("waits for 'meant' where a value is unusual", () => {
    const flexion = draft("knee-flexion", { sides: { left: { trials: ["40"] } } });
    expect(draftFaults(flexion, measures)).toEqual(["knee-flexion"]);
    expect(
      draftFaults(draft("knee-flexion", { meant: true, sides: { left: { trials: ["40"] } } }), measures),
    ).toEqual([]);
  });
  it("is sent as the endpoint expects it, one result for each side typed", () => {
    const body = toVisit(
      draft("hip-adduction-force", {
        sides: { left: { trials: ["180", "190"] }, right: { trials: ["", ""] } },
      }),
      measures,
    );
    expect(check(VisitBody, body)).toMatchObject({ ok: true });
    expect(body?.results).toMatchObject([{ side: "left", trials: [180, 190], way: adduction.ways?.[0] }]);
  });
  it("carries what limited a movement and where it hurts", () => {
    const body = toVisit(
      draft("limit-squat", {
        sides: { none: { trials: ["95"], limit: "pinch", marks: ["front-groin-left"] } },
      }),
      measures,
    );
    expect(check(VisitBody, body)).toMatchObject({ ok: true });
    expect(body?.results[0]?.detail).toEqual({ limit: "pinch", marks: ["front-groin-left"] });
  });
  it("with nothing typed is nothing to send", () =>
    expect(toVisit(draft("knee-flexion", {}), measures)).toBeNull());
});

it("a copied column keeps its empty lines inside and drops the one at its end", () => {
  expect(pastedLines("180\r\n\r\n190\textra\r\n")).toEqual(["180", "", "190"]);
  expect(pastedLines("180")).toEqual(["180"]);
});
