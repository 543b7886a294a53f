import { GateBody } from "~/core/interchange/measure-contract";
import { signingRoles } from "~/server/auth/staff-context";
import { readGate } from "~/server/gate/read-gate";
import { signGate } from "~/server/gate/sign-gate";
import { readEndpoint, writeEndpoint } from "~/server/http/endpoint";

export const GET = readEndpoint((staff, { params }) => readGate(staff, params["id"] ?? ""));

export const POST = writeEndpoint(GateBody, signingRoles, (staff, body, { params }) =>
  signGate(staff, params["id"] ?? "", body),
);
