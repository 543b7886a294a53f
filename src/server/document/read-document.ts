import type { DocumentKind } from "~/contract/document-kinds";
import type { DocumentBody } from "~/contract/record";
import { signingRoles } from "~/contract/roles";
import { localDay } from "~/core/schedule/local-day";
import { t } from "~/messages/say";
import { handoverLetter, visitNote } from "~/messages/documents";
import type { StaffContext } from "~/server/staff-context";
import { pool } from "~/server/db/connection";
import { documents } from "~/server/facts/documents";
import { intakes } from "~/server/facts/intakes";
import { readFacts } from "~/server/facts/sql";
import { gateView } from "~/server/gate/read-gate";
import { notFound } from "~/server/http/problem";
import type { LoadedCase } from "~/server/case/make-case";
import { loadEpisode, noteRead } from "~/server/case/load-episode";
import { markOf } from "~/server/seal/seal";
import { recordView } from "~/server/episode/read-record";
import { stairView } from "~/server/episode/stair-view";

type Write = (staff: StaffContext, loaded: LoadedCase) => Promise<string>;

/** How each kind of document is made from the record. */
const writers: Record<DocumentKind, Write> = {
  "visit-note": async (staff, loaded) => visitNote(stairView(staff, loaded), await recordView(staff, loaded)),
  "handover-letter": async (staff, loaded) =>
    handoverLetter(stairView(staff, loaded), gateView(staff, loaded), {
      to: await referrerOf(staff, loaded.head.id),
      clinic: staff.clinicName,
      name: staff.name,
      role: staff.role,
      bornOn: loaded.head.person.bornOn,
    }),
};

/**
 * A document as it is proposed from the record, to be edited and signed.
 *
 * @param from a signed one that is written again: its text stands in place of the proposed one
 * @throws ApiProblem 404 for an unknown kind, or a signed one that is not of this patient
 */
export async function proposeDocument(staff: StaffContext, id: string, kind: string, from: string | null) {
  const loaded = await loadEpisode(staff, id);
  const write = Object.hasOwn(writers, kind) ? writers[kind as DocumentKind] : null;
  if (!write) throw notFound();
  await noteRead(staff, id, `propose-${kind}`);
  const text = from === null ? await write(staff, loaded) : await signedText(staff, id, kind, from);
  return {
    episodeId: id,
    kind: kind as DocumentKind,
    text,
    mark: markOf(staff.clinicId, purposeOf(id, kind), text),
    maySign: signingRoles.includes(staff.role),
    signer: `${staff.name}, ${t(`role.${staff.role}`)}`,
    today: localDay(loaded.file.asOf, loaded.file.zone),
  };
}

const purposeOf = (id: string, kind: string) => `proposed ${kind} ${id}`;

/**
 * What was proposed for a document that is signed: the text that came with it where the mark shows that it was proposed here; else
 * what the record proposes now. Nobody's word is taken for it.
 */
export async function proposedFor(
  staff: StaffContext,
  loaded: LoadedCase,
  { kind, proposed, mark }: Pick<DocumentBody, "kind" | "proposed" | "mark">,
): Promise<string> {
  const own = markOf(staff.clinicId, purposeOf(loaded.head.id, kind), proposed);
  return mark === own ? proposed : writers[kind](staff, loaded);
}

/** Who sent this person, as taken at intake; nothing where nobody was named. */
async function referrerOf(staff: StaffContext, episodeId: string): Promise<string> {
  const taken = (await readFacts(pool(), intakes, staff.clinicId, [episodeId])).get(episodeId) ?? [];
  return taken.at(-1)?.intake.referrer ?? "";
}

async function signedText(staff: StaffContext, id: string, kind: string, from: string): Promise<string> {
  const signed = (await readFacts(pool(), documents, staff.clinicId, [id])).get(id) ?? [];
  const found = signed.find((document) => document.id === from && document.kind === kind);
  if (!found) throw notFound();
  return found.body;
}
