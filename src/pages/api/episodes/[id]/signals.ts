import { SignalBody } from "~/core/interchange/daily-contract";
import { mayRecord } from "~/server/auth/staff-context";
import { raiseSignal } from "~/server/episode/stop-signals";
import { writeEndpoint } from "~/server/http/endpoint";

export const POST = writeEndpoint(SignalBody, mayRecord, (staff, body, { params }) =>
  raiseSignal(staff, params["id"] ?? "", body),
);
