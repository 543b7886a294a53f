import type { DraftBody, DraftList } from "~/contract/intake";
import type { StaffContext } from "~/server/staff-context";
import { now } from "~/server/clock";
import { pool } from "~/server/db/connection";
import { listDrafts, saveDraft } from "./draft-repository";

/** The clinic's unfinished intakes. */
export async function readDrafts(staff: StaffContext): Promise<DraftList> {
  return { drafts: await listDrafts(pool(), staff.clinicId) };
}

/** Keeps an intake that is being filled in; the same id again takes its place. */
export async function keepDraft(
  staff: StaffContext,
  draft: DraftBody,
): Promise<{ id: string; savedAt: string }> {
  const savedAt = now();
  await saveDraft(pool(), staff, draft, savedAt);
  return { id: draft.id, savedAt };
}
