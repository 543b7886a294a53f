import { EndingBody } from "~/core/interchange/plan-contract";
import { signingRoles } from "~/server/auth/staff-context";
import { writeEndpoint } from "~/server/http/endpoint";
import { endItem } from "~/server/plan/change-plan";

export const POST = writeEndpoint(EndingBody, signingRoles, (staff, body, { params }) =>
  endItem(staff, params["id"] ?? "", body),
);
