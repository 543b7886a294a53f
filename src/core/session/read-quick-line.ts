import type { Dose } from "~/core/dose/dose";
import type { Exercise } from "~/core/exercise/exercise";
import type { WorkSides } from "~/core/exercise/sides-of";
import type { SetRecord, Side } from "~/core/response/session-record";
import { recordedMatch } from "./match-of";
import {
  quickProblem,
  type QuickLine,
  type QuickPart,
  type QuickPlace,
  type QuickProblem,
  type QuickProblemCode,
  type QuickSet,
  type QuickSetPlace,
  type QuickValues,
} from "./quick-line";

/** An exercise of the session as the quick line knows it. */
export interface QuickItem {
  readonly name: string;
  readonly dose: Dose;
  readonly sides: WorkSides;
  /** The leg that works where only one does. */
  readonly only?: "left" | "right";
  readonly faults: Exercise["faults"];
}

/** What a line says once it is held against the exercise: whole sets, or why not. */
export interface QuickReading {
  /** Place of the exercise among those of the session; null when the line names none that is known. */
  readonly item: number | null;
  readonly sets: readonly SetRecord[];
  /** True when sets of the other side were added as a match of the involved side's. */
  readonly matched: boolean;
  /** What was not said and taken from the plan; the reading shows it. */
  readonly asPlanned: readonly ("hold" | "load")[];
  readonly problems: readonly QuickProblem[];
}

/**
 * Reads a parsed line as sets of an exercise. Within a part, load, force, pain, effort and the like hold for the sets that
 * follow until they are said anew; repetitions, faults and limits belong to their own set. Without a side, work of each
 * side is the involved side's, and the other side matched it without pain or fault. A load, and the hold within
 * repetitions, that nobody says are the plan's.
 *
 * @param current the exercise in hand, taken when the line names none
 * @param end length of the text, where missing things are pointed at
 */
export function readQuickLine(
  line: QuickLine,
  items: readonly QuickItem[],
  { current, involvedSide, end }: { current: number; involvedSide: Side; end: number },
): QuickReading {
  const named = line.item === null ? { item: current, problems: [] } : findItem(line.item, items);
  const item = named.item === null ? undefined : items[named.item];
  const problems = [...named.problems, ...line.problems];
  if (!item) return { item: named.item, sets: [], matched: false, asPlanned: [], problems };
  const parts = line.parts.map((part, n) => readPart(part, line.places[n] ?? [], item, involvedSide, end));
  const found = [...problems, ...parts.flatMap((part) => part.problems)];
  const sets = parts.flatMap((part) => part.sets);
  const matched = parts.some((part) => part.matched);
  const asPlanned = [...new Set(parts.flatMap((part) => part.asPlanned))];
  return { item: named.item, sets: found.length > 0 ? [] : sets, matched, asPlanned, problems: found };
}

function findItem(
  { text, at }: NonNullable<QuickLine["item"]>,
  items: readonly QuickItem[],
): { item: number | null; problems: QuickProblem[] } {
  const number = Number(text);
  if (text !== "" && Number.isInteger(number) && items[number - 1]) return { item: number - 1, problems: [] };
  const wanted = text.toLowerCase();
  const exact = items.findIndex(({ name }) => name.toLowerCase() === wanted);
  if (exact >= 0) return { item: exact, problems: [] };
  const words = wanted.split(/\s+/).filter(Boolean);
  const fits = items.flatMap(({ name }, i) =>
    words.every((w) => name.toLowerCase().includes(w)) ? [i] : [],
  );
  const [only] = fits;
  if (fits.length === 1 && only !== undefined && words.length > 0) return { item: only, problems: [] };
  const place = { at, length: Math.max(1, text.length) };
  const names = fits.map((i) => items[i]?.name ?? "").join(", ");
  const problem =
    fits.length > 1 && words.length > 0
      ? quickProblem("item-ambiguous", place, { text, names })
      : quickProblem("item-unknown", place, { text });
  return { item: null, problems: [problem] };
}

function readPart(
  part: QuickPart,
  places: readonly QuickSetPlace[],
  item: QuickItem,
  involvedSide: Side,
  end: number,
) {
  const problems: QuickProblem[] = [];
  const report = <C extends QuickProblemCode>(code: C, values: QuickValues<C>) =>
    problems.push(quickProblem(code, { at: end, length: 0 }, values));
  if (part.side !== null && item.sides === "both-together") report("side-shared", {});
  if (part.side === null && item.sides === "each-side" && involvedSide === "both") report("side-needed", {});
  const side: Side = item.sides === "both-together" ? "both" : (part.side ?? item.only ?? involvedSide);
  const sets: SetRecord[] = [];
  const missing = new Set<"pain-missing" | "effort-missing">();
  const planned = plannedParts(item);
  const asPlanned = new Set<"hold" | "load">();
  let carried: Partial<QuickSet> = {};
  part.sets.forEach((written, n) => {
    const { count: _count, faults: _faults, ...rest } = carried;
    const set: QuickSet = { ...(written.pain === undefined ? rest : withoutPain(rest)), ...written };
    const place = places[n] ?? { at: end, length: 0, faults: [] };
    problems.push(...workProblems(set, item, place));
    const faults = set.faults.map((fault, f) => ({
      ...fault,
      fault: faultOf(fault.fault, item, problems, place.faults[f] ?? place),
    }));
    const unsaid = planned.filter(({ field }) => set[field] === undefined);
    for (const { as } of unsaid) asPlanned.add(as);
    const whole = { ...Object.fromEntries(unsaid.map(({ field, value }) => [field, value])), ...set };
    const record = toRecord(whole, side, faults);
    if (record) for (let i = 0; i < set.count; i += 1) sets.push(record);
    if (set.pain === undefined) missing.add("pain-missing");
    if (set.effort === undefined) missing.add("effort-missing");
    carried = carriedOn(set);
  });
  for (const code of missing) report(code, {});
  const matched = part.side === null && item.sides === "each-side";
  const both = matched ? sets.flatMap((set) => [set, recordedMatch(set)]) : sets;
  return { sets: both, matched, asPlanned: [...asPlanned], problems };
}

/** What of a plan is taken over where a line does not say it: the hold within a repetition, the load. */
function plannedParts({ dose }: QuickItem) {
  const hold = dose.reps && dose.hold?.top;
  return [
    ...(hold === undefined ? [] : [{ as: "hold" as const, field: "holdSeconds" as const, value: hold }]),
    ...(dose.loadKg === undefined
      ? []
      : [{ as: "load" as const, field: "loadKg" as const, value: dose.loadKg }]),
  ];
}

/** A pain said anew came with what is said of it now. */
const withoutPain = ({
  site: _site,
  painWith: _with,
  painFromDeg: _from,
  painToDeg: _to,
  ...rest
}: Partial<QuickSet>): Partial<QuickSet> => rest;

/** What holds on for the sets that follow. */
function carriedOn({
  loadKg,
  forceN,
  holdSeconds,
  pain,
  site,
  painWith,
  painFromDeg,
  painToDeg,
  effort,
  confidence,
}: QuickSet): Partial<QuickSet> {
  const felt = { pain, site, painWith, painFromDeg, painToDeg };
  const said = { loadKg, forceN, holdSeconds, ...felt, effort, confidence };
  return Object.fromEntries(Object.entries(said).filter(([, value]) => value !== undefined));
}

const counted = ["reps", "holdSeconds", "contacts", "minutes"] as const;
const askedBy = { reps: "reps", holdSeconds: "hold", contacts: "contacts", minutes: "minutes" } as const;

/** Work that the exercise counts must be said; work that it does not count is pointed at. */
function workProblems(set: QuickSet, { dose, name }: QuickItem, place: QuickPlace): QuickProblem[] {
  return counted.flatMap((field) => {
    const asked = dose[askedBy[field]] !== undefined;
    const isMain = field !== "holdSeconds" || dose.reps === undefined;
    if (asked && isMain && set[field] === undefined) return [quickProblem("work-missing", place, { field })];
    if (!asked && set[field] !== undefined)
      return [quickProblem("not-counted", place, { field, exercise: name })];
    return [];
  });
}

/** The exercise's own fault behind a word: its code, or the beginning of only one code or name. */
function faultOf(word: string, { faults }: QuickItem, problems: QuickProblem[], place: QuickPlace): string {
  const exact = faults.find(({ code }) => code === word);
  if (exact) return exact.code;
  const fits = faults.filter(
    ({ code, name }) => code.startsWith(word) || name.toLowerCase().startsWith(word),
  );
  const [only] = fits;
  if (fits.length === 1 && only) return only.code;
  const code = fits.length > 1 ? "fault-ambiguous" : "fault-unknown";
  const names = (fits.length > 1 ? fits : faults).map((fault) => fault.code).join(", ");
  problems.push(quickProblem(code, place, { text: word, names }));
  return word;
}

/** What the pain came with, for the record. */
function painOf({ painWith, painFromDeg, painToDeg }: QuickSet): Pick<SetRecord, "painWith" | "painArc"> {
  if (painWith === undefined) return {};
  if (painFromDeg === undefined) return { painWith };
  const end = painToDeg === undefined ? {} : { toDeg: painToDeg };
  return { painWith, painArc: { fromDeg: painFromDeg, ...end } };
}

/** A set as it is recorded; null while its pain or its effort is not said. */
function toRecord(set: QuickSet, side: Side, faults: SetRecord["faults"]): SetRecord | null {
  const { pain, effort } = set;
  if (pain === undefined || effort === undefined) return null;
  const { reps, holdSeconds, contacts, minutes, loadKg, forceN, confidence, limit, pinchGrade } = set;
  const known = Object.entries({ reps, holdSeconds, contacts, minutes, loadKg, forceN, confidence });
  return {
    side,
    ...Object.fromEntries(known.filter(([, value]) => value !== undefined)),
    painDuring: pain,
    painSite: set.site ?? "episode",
    ...painOf(set),
    effort,
    ...(limit === undefined
      ? {}
      : { limit: { kind: limit, ...(pinchGrade === undefined ? {} : { pinchGrade }) } }),
    faults,
  };
}
