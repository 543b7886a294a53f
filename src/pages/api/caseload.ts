import { readCaseload } from "~/server/caseload/read-caseload";
import { readEndpoint } from "~/server/http/endpoint";

export const GET = readEndpoint(async (staff) => ({ rows: await readCaseload(staff) }));
