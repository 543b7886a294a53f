import { ReportBody } from "~/core/interchange/contract";
import { mayRecord } from "~/server/auth/staff-context";
import { recordReport } from "~/server/episode/record-report";
import { writeEndpoint } from "~/server/http/endpoint";

export const POST = writeEndpoint(ReportBody, mayRecord, (staff, body, { params }) =>
  recordReport(staff, params["id"] ?? "", body),
);
