import { VisitBody } from "~/core/interchange/measure-contract";
import { mayRecord } from "~/server/auth/staff-context";
import { readEndpoint, writeEndpoint } from "~/server/http/endpoint";
import { readMeasures } from "~/server/measure/read-measures";
import { recordVisit } from "~/server/measure/record-visit";

export const GET = readEndpoint((staff, { params }) => readMeasures(staff, params["id"] ?? ""));

export const POST = writeEndpoint(VisitBody, mayRecord, (staff, body, { params }) =>
  recordVisit(staff, params["id"] ?? "", body),
);
