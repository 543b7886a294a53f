import { SessionBody } from "~/core/interchange/contract";
import { mayRecord } from "~/server/auth/staff-context";
import { recordSession } from "~/server/episode/record-session";
import { writeEndpoint } from "~/server/http/endpoint";

export const POST = writeEndpoint(SessionBody, mayRecord, (staff, body, { params }) =>
  recordSession(staff, params["id"] ?? "", body),
);
