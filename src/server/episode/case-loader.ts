import { caseFormat, caseVersion, type CaseFile, type CaseItem } from "~/core/interchange/case-file";
import { personalLimits, type Circumstances } from "~/core/intake/intake";
import type { Measure } from "~/core/measure/measure";
import type { Pathway } from "~/core/pathway/pathway";
import type { Exercise } from "~/core/progression/exercise";
import type { Queryable } from "~/server/db/connection";
import { definitionsOf } from "./definition-repository";
import type { EpisodeHead } from "./episode-repository";
import * as facts from "./fact-reader";

type Written<K extends "stageMoves" | "schools" | "sessions" | "reports" | "clearances" | "results"> =
  CaseFile[K][number] & { by: string };

/** A case with the names of those who wrote its facts, which the case file itself leaves out. */
export interface LoadedCase {
  readonly head: EpisodeHead;
  readonly file: CaseFile;
  readonly circumstances: Circumstances | null;
  readonly writers: {
    readonly stageMoves: readonly Written<"stageMoves">[];
    readonly schools: readonly Written<"schools">[];
    readonly sessions: readonly (Omit<Written<"sessions">, "items"> & { by: string })[];
    readonly reports: readonly Written<"reports">[];
    readonly clearances: readonly Written<"clearances">[];
    readonly results: readonly (Written<"results"> & { recordedAt: string })[];
  };
}

const without = <T extends object, K extends keyof T>(fact: T, ...keys: K[]): Omit<T, K> =>
  Object.fromEntries(Object.entries(fact).filter(([key]) => !keys.includes(key as K))) as Omit<T, K>;

/**
 * Loads whole cases: the one way from the database to the core. A fixed number of queries, however many episodes.
 *
 * @param asOf the instant at which the case is to be judged
 */
export async function loadCases(
  db: Queryable,
  clinicId: string,
  zone: string,
  heads: readonly EpisodeHead[],
  asOf: string,
): Promise<LoadedCase[]> {
  if (heads.length === 0) return [];
  const ids = heads.map((head) => head.id);
  const definitions = await definitionsOf(db, clinicId, ids);
  const moves = await facts.readStageMoves(db, clinicId, ids);
  const schools = await facts.readSchools(db, clinicId, ids);
  const passings = await facts.readPassings(db, clinicId, ids);
  const restrictions = await facts.readRestrictions(db, clinicId, ids);
  const circumstances = await facts.readCircumstances(db, clinicId, ids);
  const items = await facts.readItems(db, clinicId, ids);
  const prescriptions = await facts.readPrescriptions(db, clinicId, ids);
  const sessions = await facts.readSessions(db, clinicId, ids);
  const sets = await facts.readSets(db, clinicId, ids);
  const reports = await facts.readReports(db, clinicId, ids);
  const results = await facts.readResults(db, clinicId, ids);
  const decisions = await facts.readDecisions(db, clinicId, ids);
  const clearances = await facts.readClearances(db, clinicId, ids);

  return heads.map((head): LoadedCase => {
    const bodies = definitions.used
      .filter((use) => use.episodeId === head.id)
      .flatMap((use) => definitions.bodies.get(use.hash) ?? []);
    const of = <T>(kind: string) => bodies.filter((b) => b.kind === kind).map((b) => b.body as T);
    const pathway = definitions.bodies.get(head.pathwayHash)?.body as Pathway | undefined;
    if (!pathway) throw new Error(`episode without its pathway`);
    const writers: LoadedCase["writers"] = {
      stageMoves: moves.get(head.id) ?? [],
      schools: schools.get(head.id) ?? [],
      sessions: sessions.get(head.id) ?? [],
      reports: reports.get(head.id) ?? [],
      clearances: clearances.get(head.id) ?? [],
      results: results.get(head.id) ?? [],
    };
    const ownPrescriptions = prescriptions.get(head.id) ?? [];
    const bySession = grouped(sets.get(head.id) ?? [], (entry) => entry.sessionId);
    // What was signed last about a person's week and limits takes the place of what the intake said.
    const now = circumstances.get(head.id)?.at(-1);
    const file: CaseFile = {
      format: caseFormat,
      version: caseVersion,
      asOf,
      zone,
      episode: {
        id: head.id,
        involvedSide: head.involvedSide,
        onsetOn: head.onsetOn,
        ...(head.surgeryOn === null ? {} : { surgeryOn: head.surgeryOn }),
        ...(head.graft === null ? {} : { graft: head.graft }),
        startedAt: head.startedAt,
      },
      pathway,
      exercises: of<Exercise>("exercise"),
      measures: of<Measure>("measure"),
      stageMoves: writers.stageMoves.map((move) => without(move, "by")),
      schools: writers.schools.map((school) => without(school, "by")),
      passings: passings.get(head.id) ?? [],
      restrictions: now ? [...now.limits, ...personalLimits(now)] : (restrictions.get(head.id) ?? []),
      items: (items.get(head.id) ?? []).map((item): CaseItem => ({
        ...item,
        prescriptions: ownPrescriptions
          .filter((entry) => entry.itemId === item.id)
          .map((entry) => without(entry, "itemId")),
      })),
      sessions: writers.sessions.map((session) => ({
        ...without(session, "by"),
        items: [...grouped(bySession.get(session.id) ?? [], (entry) => entry.itemId)].map(
          ([itemId, entries]) => ({
            itemId,
            sets: entries.map((entry) => entry.set),
          }),
        ),
      })),
      reports: writers.reports.map((report) => without(report, "by")),
      results: writers.results.map((result) => without(result, "by", "recordedAt")),
      decisions: decisions.get(head.id) ?? [],
      clearances: writers.clearances.map((clearance) => without(clearance, "by")),
    };
    return { head, file, circumstances: now ?? null, writers };
  });
}

function grouped<T>(entries: readonly T[], key: (entry: T) => string): Map<string, T[]> {
  const groups = new Map<string, T[]>();
  for (const entry of entries) {
    const name = key(entry);
    const list = groups.get(name);
    if (list) list.push(entry);
    else groups.set(name, [entry]);
  }
  return groups;
}
