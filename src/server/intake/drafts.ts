import type { DraftBody, DraftList } from "~/contract/intake";
import type { StaffContext } from "~/server/staff-context";
import { now } from "~/server/clock";
import { pool } from "~/server/db/connection";
import { noteFlags } from "./flag-ticks";
import { listDrafts, saveDraft } from "./draft-repository";

/** The clinic's unfinished intakes. */
export async function readDrafts(staff: StaffContext): Promise<DraftList> {
  return { drafts: await listDrafts(pool(), staff.clinicId) };
}

/** Keeps an intake that is being filled in; the same id again takes its place. A red flag once ticked is noted for good. */
export async function keepDraft(
  staff: StaffContext,
  draft: DraftBody,
): Promise<{ id: string; savedAt: string }> {
  const savedAt = now();
  const { redFlags } = draft.body;
  if (Array.isArray(redFlags)) await noteFlags(pool(), staff, draft.id, redFlags, savedAt);
  await saveDraft(pool(), staff, draft, savedAt);
  return { id: draft.id, savedAt };
}
