import { ItemBody } from "~/core/interchange/plan-contract";
import { signingRoles } from "~/server/auth/staff-context";
import { writeEndpoint } from "~/server/http/endpoint";
import { addItem } from "~/server/plan/change-plan";

export const POST = writeEndpoint(ItemBody, signingRoles, (staff, body, { params }) =>
  addItem(staff, params["id"] ?? "", body),
);
