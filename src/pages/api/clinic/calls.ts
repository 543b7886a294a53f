import { CallsBody } from "~/core/interchange/clinic-contract";
import { settingRoles } from "~/server/auth/staff-context";
import { readCalls, setCalls } from "~/server/clinic/calls";
import { readEndpoint, writeEndpoint } from "~/server/http/endpoint";

export const GET = readEndpoint(async (staff) => readCalls(staff));

export const POST = writeEndpoint(CallsBody, settingRoles, setCalls);
