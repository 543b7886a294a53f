import { SessionDraftBody } from "~/core/interchange/daily-contract";
import { mayRecord } from "~/server/auth/staff-context";
import { keepSessionDraft, readSessionDraft } from "~/server/episode/session-draft";
import { readEndpoint, writeEndpoint } from "~/server/http/endpoint";

/** The unfinished session of this patient, on whatever device it was begun. */
export const GET = readEndpoint((staff, { params }) => readSessionDraft(staff, params["id"] ?? ""));

export const POST = writeEndpoint(SessionDraftBody, mayRecord, (staff, body, { params }) =>
  keepSessionDraft(staff, params["id"] ?? "", body),
);
