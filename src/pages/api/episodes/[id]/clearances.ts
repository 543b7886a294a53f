import { ClearanceBody } from "~/core/interchange/contract";
import { signingRoles } from "~/server/auth/staff-context";
import { clearStop } from "~/server/episode/clear-stop";
import { writeEndpoint } from "~/server/http/endpoint";

export const POST = writeEndpoint(ClearanceBody, signingRoles, (staff, body, { params }) =>
  clearStop(staff, params["id"] ?? "", body),
);
