import type { KeptSessionDraft, SessionDraftBody } from "~/contract/daily";
import type { StaffContext } from "~/server/staff-context";
import { now } from "~/server/clock";
import { pool } from "~/server/db/connection";
import { notFound } from "~/server/http/problem";
import { findEpisode } from "~/server/case/episode-repository";
import { isUuid } from "~/core/schema/formats";
import { loadEpisode, noteRead } from "~/server/case/load-episode";
import { findSessionDraft, saveSessionDraft } from "./session-draft-repository";
import { stairView } from "./stair-view";

/** Keeps the session that is being recorded, so that another device, or this one after a failure, goes on with it. */
export async function keepSessionDraft(
  staff: StaffContext,
  episodeId: string,
  draft: SessionDraftBody,
): Promise<{ id: string; savedAt: string }> {
  await needEpisode(staff, episodeId);
  const savedAt = now();
  await saveSessionDraft(pool(), staff, episodeId, draft, savedAt);
  return { id: draft.id, savedAt };
}

export async function readSessionDraft(staff: StaffContext, episodeId: string): Promise<KeptSessionDraft> {
  await needEpisode(staff, episodeId);
  const draft = await findSessionDraft(pool(), staff.clinicId, episodeId);
  if (draft) await noteRead(staff, episodeId, "read-session-draft");
  return { draft };
}

async function needEpisode(staff: StaffContext, id: string): Promise<void> {
  const found = isUuid(id) && (await findEpisode(pool(), staff.clinicId, id));
  if (!found) throw notFound();
}

/**
 * Everything the session view begins with: the stair, an unfinished session, and the one to be corrected, if any.
 *
 * @param anew passes over what is kept; the next save takes its place
 */
export async function readSessionForm(
  staff: StaffContext,
  episodeId: string,
  { correct, anew }: { correct: string | null; anew: boolean },
) {
  const loaded = await loadEpisode(staff, episodeId);
  await noteRead(staff, episodeId, "read-stair");
  const correcting = loaded.file.sessions.find((session) => session.id === correct) ?? null;
  if (correct !== null && !correcting) throw notFound();
  const kept = correcting || anew ? null : await findSessionDraft(pool(), staff.clinicId, episodeId);
  return { stair: stairView(staff, loaded), kept, correcting };
}
