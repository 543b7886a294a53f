import { CircumstancesBody } from "~/core/interchange/plan-contract";
import { signingRoles } from "~/server/auth/staff-context";
import { writeEndpoint } from "~/server/http/endpoint";
import { setCircumstances } from "~/server/plan/change-plan";

export const POST = writeEndpoint(CircumstancesBody, signingRoles, (staff, body, { params }) =>
  setCircumstances(staff, params["id"] ?? "", body),
);
