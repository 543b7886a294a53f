import type { DraftBody, DraftList } from "~/contract/intake";
import type { StaffContext } from "~/server/staff-context";
import { writeAudit } from "~/server/audit/audit-repository";
import { now } from "~/server/clock";
import { pool } from "~/server/db/connection";
import { ApiProblem } from "~/server/http/problem";
import { t } from "~/messages/say";
import { noteFlags } from "./flag-ticks";
import { dropDraft, keptAtMost, listDrafts, saveDraft } from "./draft-repository";

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
  if (!(await saveDraft(pool(), staff, draft, savedAt)))
    throw new ApiProblem(409, "drafts-full", t("intake.draftsFull", { most: keptAtMost }));
  return { id: draft.id, savedAt };
}

/** Throws an intake that is being filled in away, for good; where there is none, nothing is to be done. */
export async function throwAway(staff: StaffContext, id: string): Promise<{ id: string }> {
  await dropDraft(pool(), staff.clinicId, id);
  await writeAudit(pool(), staff, { action: "drop-intake-draft", kind: "intake_drafts", id }, now());
  return { id };
}
