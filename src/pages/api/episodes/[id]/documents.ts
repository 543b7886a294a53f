import { DocumentBody } from "~/core/interchange/daily-contract";
import { signingRoles } from "~/server/auth/staff-context";
import { signDocument } from "~/server/episode/sign-document";
import { writeEndpoint } from "~/server/http/endpoint";

export const POST = writeEndpoint(DocumentBody, signingRoles, (staff, body, { params }) =>
  signDocument(staff, params["id"] ?? "", body),
);
