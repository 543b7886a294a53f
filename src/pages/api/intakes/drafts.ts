import { DraftBody } from "~/core/interchange/intake-contract";
import { mayRecord } from "~/server/auth/staff-context";
import { now } from "~/server/clock";
import { pool } from "~/server/db/connection";
import { readEndpoint, writeEndpoint } from "~/server/http/endpoint";
import { listDrafts, saveDraft } from "~/server/intake/draft-repository";

export const GET = readEndpoint(async (staff) => ({ drafts: await listDrafts(pool(), staff.clinicId) }));

export const POST = writeEndpoint(DraftBody, mayRecord, async (staff, body) => {
  const savedAt = now();
  await saveDraft(pool(), staff, body, savedAt);
  return { id: body.id, savedAt };
});
