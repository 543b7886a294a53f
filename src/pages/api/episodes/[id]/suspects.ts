import { AttributionBody } from "~/core/interchange/daily-contract";
import { signingRoles } from "~/server/auth/staff-context";
import { attributeFlare } from "~/server/episode/attribute-flare";
import { writeEndpoint } from "~/server/http/endpoint";

export const POST = writeEndpoint(AttributionBody, signingRoles, (staff, body, { params }) =>
  attributeFlare(staff, params["id"] ?? "", body),
);
