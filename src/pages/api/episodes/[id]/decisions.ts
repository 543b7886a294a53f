import { DecisionBody } from "~/core/interchange/contract";
import { signingRoles } from "~/server/auth/staff-context";
import { signDecision } from "~/server/episode/sign-decision";
import { writeEndpoint } from "~/server/http/endpoint";

export const POST = writeEndpoint(DecisionBody, signingRoles, (staff, body, { params }) =>
  signDecision(staff, params["id"] ?? "", body),
);
