import { SchoolBody } from "~/core/interchange/contract";
import { signingRoles } from "~/server/auth/staff-context";
import { setSchool } from "~/server/episode/set-school";
import { writeEndpoint } from "~/server/http/endpoint";

export const POST = writeEndpoint(SchoolBody, signingRoles, (staff, body, { params }) =>
  setSchool(staff, params["id"] ?? "", body),
);
