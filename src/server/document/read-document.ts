import type { documentKinds } from "~/contract/record";
import { handoverLetter, visitNote } from "~/messages/documents";
import type { StaffContext } from "~/server/staff-context";
import { gateView } from "~/server/gate/read-gate";
import { notFound } from "~/server/http/problem";
import type { LoadedCase } from "~/server/case/make-case";
import { loadEpisode, noteRead } from "~/server/case/load-episode";
import { recordView } from "~/server/episode/read-record";
import { stairView } from "~/server/episode/stair-view";

type Kind = (typeof documentKinds)[number];
type Write = (staff: StaffContext, loaded: LoadedCase) => Promise<string>;

/** How each kind of document is made from the record. */
const writers: Record<Kind, Write> = {
  "visit-note": async (staff, loaded) => visitNote(stairView(staff, loaded), await recordView(staff, loaded)),
  "handover-letter": async (staff, loaded) =>
    handoverLetter(stairView(staff, loaded), gateView(staff, loaded)),
};

/** A document as it is proposed from the record, to be edited and signed. @throws ApiProblem 404 for an unknown kind */
export async function proposeDocument(staff: StaffContext, id: string, kind: string) {
  const loaded = await loadEpisode(staff, id);
  const write = Object.hasOwn(writers, kind) ? writers[kind as Kind] : null;
  if (!write) throw notFound();
  await noteRead(staff, id, `propose-${kind}`);
  return {
    episodeId: id,
    kind: kind as Kind,
    text: await write(staff, loaded),
    maySign: stairView(staff, loaded).maySign,
  };
}
