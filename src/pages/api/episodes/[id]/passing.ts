import { PassingBody } from "~/core/interchange/measure-contract";
import { signingRoles } from "~/server/auth/staff-context";
import { setPassing } from "~/server/gate/sign-gate";
import { writeEndpoint } from "~/server/http/endpoint";

export const POST = writeEndpoint(PassingBody, signingRoles, (staff, body, { params }) =>
  setPassing(staff, params["id"] ?? "", body),
);
