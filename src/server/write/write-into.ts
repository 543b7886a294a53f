import { episodeState } from "~/core/episode/episode-turn";
import { laterOf, nextInstant } from "~/core/schedule/next-instant";
import { t } from "~/messages/say";
import { writeAudit } from "~/server/audit/audit-repository";
import type { Writer } from "~/server/writer";
import { projectQuietly } from "~/server/caseload/project-caseload";
import { now } from "~/server/clock";
import type { Connection } from "~/server/db/connection";
import { isDuplicate } from "~/server/db/away";
import { inTransaction } from "~/server/db/transaction";
import { facts, type FactName } from "~/server/facts/all";
import { episodeOfFact, type Writing } from "~/server/facts/sql";
import { ApiProblem, notFound } from "~/server/http/problem";
import { keptHead, loadCases, noteAppended, reloadAfter } from "~/server/case/case-loader";
import {
  bumpVersion,
  findEpisode,
  lockHeads,
  siblingsOf,
  type EpisodeHead,
} from "~/server/case/episode-repository";
import { isKnownTwin, type Sent } from "~/server/receipt/known-twin";
import type { LoadedCase } from "~/server/case/make-case";
import { loadEpisode } from "~/server/case/load-episode";
import { keepReceipt } from "~/server/receipt/receipt-repository";
import { withEpisodesOfPerson } from "~/server/case/episodes-of-person";
import { unreadable } from "~/server/case/unreadable";

/** What a write may use while it holds the episode. */
export interface WriteScope {
  readonly db: Connection;
  readonly writing: Writing;
  readonly loaded: LoadedCase;
}

/** A fact to be written: its kind, the id its sender made, the body as sent, and what the audit log calls it. */
export interface Fact {
  readonly of: FactName;
  readonly action: string;
  readonly body: { readonly id: string };
  /** It happened whether the episode rests or not: what came late from a phone is not lost. */
  readonly evenResting?: boolean;
}

/**
 * Writes one fact into an episode: locks its head, answers a repeated id with what stands, otherwise appends, raises the
 * version, and notes it in the audit log. Its instant lies after that of every write before, whatever the clock says. What the
 * answer shows is made before anything is committed: what could not be shown afterwards is not written. All or nothing.
 *
 * @param view what the answer shows of the episode as it stands then
 * @throws ApiProblem 409 when the id was used for something else, or for the same with other content
 */
export async function writeInto<A>(
  writer: Writer,
  episodeId: string,
  fact: Fact,
  append: (scope: WriteScope) => Promise<void>,
  view: (loaded: LoadedCase) => A,
): Promise<{ repeated: boolean; seen: A }> {
  const written = await inEpisode(writer, episodeId, fact, append, async ({ db, loaded }) => {
    const { after, keep } = await reloadAfter(db, writer.clinicId, loaded, fact.of);
    return { keep, after, seen: shown(view, after, loaded) };
  });
  if (!written) return { repeated: true, seen: view(await loadEpisode(writer, episodeId)) };
  written.keep();
  await projectQuietly(writer.clinicId, [written.after]);
  if (!written.seen) throw unreadable("It was saved.");
  return { repeated: false, seen: written.seen.value };
}

/**
 * Writes one fact of those that come often, in the same way, and answers without looking at what follows from it: whoever asks for
 * that next works it out, the caseload among them. Only for facts whose every field is checked before they are appended, so that no
 * record can become unreadable by one.
 *
 * @throws ApiProblem 409 as `writeInto`
 */
export async function appendInto(
  writer: Writer,
  episodeId: string,
  fact: Fact,
  append: (scope: WriteScope) => Promise<void>,
): Promise<{ repeated: boolean }> {
  const written = await inEpisode(writer, episodeId, fact, append, ({ loaded, writing }) =>
    Promise.resolve({ version: loaded.head.version + 1, writing }),
  );
  if (!written) return { repeated: true };
  const { version, writing } = written;
  noteAppended(writer.clinicId, episodeId, version, writing.at, writing.facts ?? []);
  return { repeated: false };
}

/** One fact in one transaction, and what is made of it before that is committed; null where it was written before. */
async function inEpisode<R>(
  writer: Writer,
  episodeId: string,
  { of, action, body, evenResting }: Fact,
  append: (scope: WriteScope) => Promise<void>,
  conclude: (scope: WriteScope) => Promise<R>,
): Promise<R | null> {
  const sent: Sent = { id: body.id.toLowerCase(), kind: of, episodeId, body };
  const { clinicId, staffId, phoneId } = writer;
  const isOfPerson = facts[of].ofPerson === true;
  const work = (ids: readonly string[], isRemembered: boolean) =>
    inTransaction(async (db) => {
      const locked = await lockHeads(db, clinicId, ids);
      const own = locked.find(({ id }) => id === episodeId);
      if (!own) throw notFound();
      const kept = keptHead(clinicId, episodeId, own.version);
      const head = kept ?? (await findEpisode(db, clinicId, episodeId));
      if (!head) throw notFound();
      const at = nextInstant(now(), locked.map(({ writtenAt }) => writtenAt).reduce(laterOf));
      if (await isSentBefore(db, writer, sent, at)) return null;
      const [loaded] = await loadCases(db, clinicId, writer.zone, [head], at);
      if (await isWithoutReceipt(db, writer, sent, of, loaded)) throw new WithoutReceipt();
      if (facts[of].whileResting !== true && evenResting !== true) refuseWhileResting(head);
      if (!loaded) throw unreadable("Nothing was saved.");
      const writing: Writing = {
        clinicId,
        staffId,
        episodeId,
        at,
        trail: [],
        facts: [],
        ...(writer.name === undefined ? {} : { name: writer.name }),
        ...(phoneId ? { phoneId } : {}),
      };
      const scope = { db, writing, loaded };
      const siblings = isOfPerson
        ? await siblingsOf(db, clinicId, head.personId, episodeId, isRemembered ? ids : null)
        : [];
      await append(scope);
      for (const id of [episodeId, ...siblings]) await bumpVersion(db, clinicId, id, at);
      const line = { action, kind: facts[of].table, id: body.id, episodeId, wrote: writing.trail };
      await writeAudit(db, writer, line, at);
      return conclude(scope);
    });
  try {
    return await (isOfPerson ? withEpisodesOfPerson(clinicId, episodeId, work) : work([episodeId], false));
  } catch (error) {
    if (error instanceof WithoutReceipt) return null;
    throw error;
  }
}

/** It was written before there were receipts: nothing of this one is kept, not even that it came. */
class WithoutReceipt extends Error {}

/** Keeps what was sent under its id; true where it was kept before, by a write that stands. @throws ApiProblem 409 as `isKnownTwin` */
async function isSentBefore(db: Connection, writer: Writer, sent: Sent, at: string): Promise<boolean> {
  try {
    await keepReceipt(db, writer, sent, at);
    return false;
  } catch (error) {
    if (!isDuplicate(error)) throw error;
    return isKnownTwin(db, writer.clinicId, sent);
  }
}

/** @throws ApiProblem 409 for an episode that is paused or closed: it is taken up again first, so that it is seen again too */
function refuseWhileResting(head: EpisodeHead): void {
  const state = episodeState(head);
  if (state === "active") return;
  throw new ApiProblem(409, `episode-${state}`, t(`episode.refused.${state}`));
}

/**
 * Whether this was written before there were receipts: then its id alone counts. Of what every case holds that is seen without
 * asking; where the id belongs to another record, its key says so.
 */
async function isWithoutReceipt(
  db: Connection,
  writer: Writer,
  sent: Sent,
  of: FactName,
  loaded: LoadedCase | undefined,
): Promise<boolean> {
  if (loaded && facts[of].inCase) {
    const known: readonly unknown[] = loaded.parts[of as keyof LoadedCase["parts"]];
    return known.some((fact) => (fact as { readonly id?: string }).id === sent.id);
  }
  const owner = await episodeOfFact(db, facts[of], writer.clinicId, sent.id);
  if (owner !== null && owner !== sent.episodeId)
    throw new ApiProblem(409, "id-in-use", "This id belongs to another record.");
  return owner !== null;
}

/**
 * What the answer shows. When nothing can be shown: a record that could be read before is left as it was; one that could
 * not be read before either takes what came, so that nothing that happened to somebody is lost.
 */
function shown<A>(
  view: (loaded: LoadedCase) => A,
  after: LoadedCase,
  before: LoadedCase,
): { value: A } | null {
  try {
    return { value: view(after) };
  } catch (error) {
    if (error instanceof ApiProblem) throw error;
    try {
      view(before);
    } catch {
      return null;
    }
    throw unreadable("Nothing was saved: with this the record could not be judged any more.", error);
  }
}
