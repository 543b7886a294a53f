import { SignalClearanceBody } from "~/core/interchange/daily-contract";
import { signingRoles } from "~/server/auth/staff-context";
import { clearSignal } from "~/server/episode/stop-signals";
import { writeEndpoint } from "~/server/http/endpoint";

export const POST = writeEndpoint(SignalClearanceBody, signingRoles, (staff, body, { params }) =>
  clearSignal(staff, params["id"] ?? "", body),
);
