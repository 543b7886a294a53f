import Papa from "papaparse";
import { standingResults, type Measure, type MeasureResult } from "~/core/measure/measure";
import { loadEpisode, noteRead } from "~/server/case/load-episode";
import type { StaffContext } from "~/server/staff-context";
import { measuresFor } from "./read-measures";

/** What each column of the table of results means. */
const columns = {
  taken_on: "Day on which it was taken, YYYY-MM-DD where the patient was",
  measure: "Code of the measure; see its own line below",
  side: "left, right or none",
  trial: "Number of the trial, from 1",
  trial_value: "What was taken in that trial, in unit",
  value: "The trials of that side and time as one value, by the measure's own rule, in unit",
  unit: "Unit as a UCUM code; '1' for counts and grades",
  occasion: "since-injury, pre-injury or clinic-norm",
  way: "How it was taken",
  limit: "What limited the movement, where that was said",
  lever_m: "Lever arm of a force, metres",
  submaximal: "true where it was held back because it hurt",
} as const;

/** Every result that stands, a line a trial. */
export async function exportResults(staff: StaffContext, episodeId: string): Promise<string> {
  const { file } = await loadEpisode(staff, episodeId);
  await noteRead(staff, episodeId, "export-results");
  const units = new Map(measuresFor(file.measures).map(({ code, unit }) => [code, unit]));
  const lines = standingResults(file.results).flatMap((result) => linesOf(result, units));
  return Papa.unparse({ fields: Object.keys(columns), data: lines }, { escapeFormulae: true });
}

/** What the columns mean, and every measure of the table: its name, unit, sides, and how trials become a value. */
export async function exportDictionary(staff: StaffContext, episodeId: string): Promise<string> {
  const { file } = await loadEpisode(staff, episodeId);
  await noteRead(staff, episodeId, "export-results");
  const used = new Set(standingResults(file.results).map(({ measure }) => measure));
  const measures = measuresFor(file.measures).filter(({ code }) => used.has(code));
  return Papa.unparse(
    {
      fields: ["kind", "name", "meaning", "unit", "sides", "value_is", "better", "least", "most", "grades"],
      data: [
        ...Object.entries(columns).map(([name, meaning]) => [
          "column",
          name,
          meaning,
          "",
          "",
          "",
          "",
          "",
          "",
          "",
        ]),
        ...measures.map(lineOf),
      ],
    },
    { escapeFormulae: true },
  );
}

const linesOf = (result: MeasureResult, units: ReadonlyMap<string, string>): unknown[][] =>
  (result.trials ?? [result.value]).map((trial, n) => [
    result.takenOn,
    result.measure,
    result.side,
    n + 1,
    trial,
    result.value,
    units.get(result.measure) ?? "",
    result.occasion,
    result.position ?? "",
    result.detail?.limit ?? "",
    result.detail?.leverM ?? "",
    result.detail?.submaximal ?? "",
  ]);

const lineOf = ({ code, name, unit, sides, summary, better, plausible, grades = [] }: Measure): unknown[] => [
  "measure",
  code,
  name,
  unit,
  sides,
  summary,
  better,
  plausible.low,
  plausible.high,
  grades.map((grade, n) => `${n} ${grade}`).join("; "),
];
