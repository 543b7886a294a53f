import { bookOf } from "./body-of";
import type { DemandBook } from "~/core/demand/demand-book";
import { caseDays, type CaseDay } from "~/core/case/case-days";
import { caseFormat, caseVersion, type CaseFile, type CaseItem } from "~/core/case/case-file";
import { withEvents } from "~/core/case/with-events";
import { Circumstances, personalLimits } from "~/core/intake/intake";
import { measureAsks } from "~/catalogue/measures/asks";
import type { Measure } from "~/core/measure/measure";
import type { Pathway } from "~/core/pathway/pathway";
import type { Exercise } from "~/core/exercise/exercise";
import type { Restriction } from "~/core/limit/restriction";
import { reviewCase, type CaseReview } from "~/core/review/review-case";
import { ageYears } from "~/core/schedule/age-years";
import { localDay } from "~/core/schedule/local-day";
import { laterOf } from "~/core/schedule/next-instant";
import { check } from "~/core/schema/check";
import { once } from "~/core/work/once";
import type { Voided, VoidedKind } from "~/core/schema/voided";
import { changesOfIntakes, conditionsOfAge, conditionsOver } from "./conditions-of";
import type { CaseParts } from "./case-parts";
import type { Definition } from "./definition-repository";
import type { SignalElsewhere } from "./elsewhere-repository";
import { grouped } from "./grouped";
import { madeOnce } from "./made-once";
import { sessionsOf } from "./sessions-of";
import { without } from "./without";
import type { EpisodeHead } from "./episode-repository";

/** A case with its facts as they were read: with the names of those who wrote them, which the case file leaves out. */
export interface LoadedCase {
  readonly head: EpisodeHead;
  readonly file: CaseFile;
  readonly circumstances: Circumstances | null;
  readonly parts: CaseParts;
  /** What is thought of the case, worked out when it is first asked for. */
  readonly review: () => CaseReview;
  /** What settings ask of this person's body. */
  readonly book: () => DemandBook;
  /** Its training days, likewise. */
  readonly days: () => readonly CaseDay[];
}

/** What an episode's parts make, before it is said when and where it is judged. */
export type MadeCase = Pick<LoadedCase, "file" | "circumstances" | "parts">;

const plainReport = madeOnce((report: CaseParts["reports"][number]) =>
  without(report, "by", ...(report.occurredAt === report.receivedAt ? (["occurredAt"] as const) : [])),
);
const plainResult = madeOnce((result: CaseParts["results"][number]) => without(result, "by", "visitId"));

/** A made case as it stands at an instant in a zone; not before what was written into it last, should the clock be behind that. */
export function judgedAt(head: EpisodeHead, made: MadeCase, zone: string, clock: string): LoadedCase {
  const asOf = laterOf(clock, head.writtenAt);
  const { bornOn, normGroup } = head.person;
  const person = {
    ageYears: ageYears(bornOn, localDay(asOf, zone)),
    ...(normGroup === null ? {} : { normGroup }),
  };
  const conditions = [
    ...(made.file.conditions ?? []),
    ...conditionsOfAge(person.ageYears, made.file.pathway.region, head.startedAt),
  ];
  const file = withEvents({ ...made.file, zone, asOf, person, conditions });
  const days = once(() => caseDays(file));
  const book = once(() => bookOf(file));
  return { ...made, head, file, days, book, review: once(() => reviewCase(file, { book: book() })) };
}

/** The case that the parts of an episode make. @throws Error for an episode whose pathway is gone */
export function madeOf(
  head: EpisodeHead,
  parts: CaseParts,
  definitions: ReadonlyMap<string, Definition>,
): MadeCase {
  const bodies = parts.hashes.flatMap((hash) => definitions.get(hash) ?? []);
  const of = <T>(kind: string) => bodies.filter((b) => b.kind === kind).map((b) => b.body as T);
  const pathway = definitions.get(head.pathwayHash)?.body as Pathway | undefined;
  if (!pathway) throw new Error(`episode without its pathway`);
  // What was signed last about a person's week and limits takes the place of what the intake said.
  const settings = parts.circumstances;
  const voided = voidedAmong(parts);
  const voidedOf = <T extends { readonly id: string }>(kind: VoidedKind, fact: T) =>
    parts.voidings.length === 0 ? fact : { ...fact, ...voided(kind, fact) };
  const irritability = parts.answers.at(-1)?.irritability;
  const file: CaseFile = {
    format: caseFormat,
    version: caseVersion,
    asOf: head.startedAt,
    zone: "UTC",
    episode: {
      id: head.id,
      involvedSide: head.involvedSide,
      onsetOn: head.onsetOn,
      ...(head.surgeryOn === null ? {} : { surgeryOn: head.surgeryOn }),
      ...(head.graft === null ? {} : { graft: head.graft }),
      ...(irritability ? { irritability } : {}),
      startedAt: head.startedAt,
    },
    pathway,
    exercises: of<Exercise>("exercise"),
    measures: of<Measure>("measure").map(withAsks),
    stageMoves: parts.stageMoves.map((move) => without(move, "by")),
    schools: parts.schools.map((school) => without(school, "by")),
    passings: parts.passings.map((passing) => without(passing, "by")),
    events: parts.events.map((event) => without(event, "by")),
    conditions: conditionsOver([
      ...changesOfIntakes(parts.answers),
      ...parts.conditionChanges,
      ...parts.elsewhere.flatMap(({ conditions }) => conditions),
    ]),
    limitsElsewhere: parts.elsewhere.flatMap(({ limits }) => limits),
    criterionWords: parts.criterionWords.map((word) => without(word, "by")),
    restrictions: parts.restrictions.map(({ limit }) => limit),
    limitSettings: settings.map(({ at, circumstances: set }) => ({ at, restrictions: limitsOf(set) })),
    items: itemsOf(parts),
    arrangements: parts.arrangements.map((signed) => without(signed, "by")),
    sessions: sessionsOf(parts).map((session) => voidedOf("session", session)),
    reports: parts.reports.map((report) => voidedOf("report", plainReport(report))),
    results: parts.results.map((result) => voidedOf("result", plainResult(result))),
    lifts: parts.lifts.map((lift) => without(lift, "by")),
    smallDoses: parts.smallDoses.map((step) => without(step, "by")),
    decisions: parts.decisions.map(({ by, ...decision }) => ({
      ...without(decision, "engineVersion", "episodeVersion"),
      signedBy: by,
    })),
    clearances: parts.clearances.map((clearance) => without(clearance, "by")),
    signals: signalsOf(parts).map((signal) => without(signal, "by", "clearedBy")),
    attributions: parts.attributions.map((attribution) => without(attribution, "by")),
  };
  return { file, circumstances: settings.at(-1)?.circumstances ?? null, parts };
}

/**
 * What a signed setting limits. One without its shape (written by another version, or damaged) stands as a limit of no
 * known kind, which nothing judges: while it is in force the record cannot be judged, and the next sound one mends it.
 */
function limitsOf(set: Circumstances): Restriction[] {
  return check(Circumstances, set).ok ? [...set.limits, ...personalLimits(set)] : [set as never];
}

/** What a test asks of the body is known of measures that were stored before it was said of them. */
function withAsks(measure: Measure): Measure {
  const asks = measure.asks ?? measureAsks[measure.code];
  return asks ? { ...measure, asks } : measure;
}

/** What says of a fact that it was voided, where it was. */
export function voidedAmong({ voidings }: Pick<CaseParts, "voidings">) {
  const found = new Map(voidings.map((voiding) => [`${voiding.kind} ${voiding.targetId}`, voiding]));
  return (kind: VoidedKind, { id }: { readonly id: string }): { voided?: Voided } => {
    const voiding = found.get(`${kind} ${id}`);
    return voiding ? { voided: { id: voiding.id, at: voiding.at, reason: voiding.reason } } : {};
  };
}

function itemsOf({ items, endings, returns, prescriptions }: CaseParts): CaseItem[] {
  const putBack = new Set(returns.map(({ endingId }) => endingId));
  const endedAt = new Map(
    endings.filter(({ id }) => !putBack.has(id)).map((ending) => [ending.itemId, ending.at]),
  );
  const byItem = grouped(prescriptions, (entry) => entry.itemId);
  return items.map(({ id, exerciseId, lane, role, against, againstReason = "" }) => {
    const ended = endedAt.get(id);
    return {
      id,
      exerciseId,
      lane,
      ...(role ? { role } : {}),
      ...(against ? { against: { limits: against, reason: againstReason } } : {}),
      ...(ended === undefined ? {} : { endedAt: ended }),
      prescriptions: (byItem.get(id) ?? []).map(({ id: entry, from, prescription }) => ({
        id: entry,
        from,
        prescription,
      })),
    };
  });
}

/** Stop signals of this episode with how each was cleared, and by whom; then those of the person's other ones. */
export function signalsOf({
  signals,
  signalClearances,
  elsewhere,
}: Pick<CaseParts, "signals" | "signalClearances" | "elsewhere">): readonly SignalElsewhere[] {
  const clearances = new Map(signalClearances.map((clearance) => [clearance.signalId, clearance]));
  const own = signals.map((signal) => {
    const cleared = clearances.get(signal.id);
    return {
      ...without(signal, "occurredAt"),
      ...(cleared ? { cleared: { at: cleared.at, reason: cleared.reason } } : {}),
      clearedBy: cleared?.by ?? null,
    };
  });
  return [...own, ...elsewhere.flatMap(({ signals: raised }) => raised)];
}
