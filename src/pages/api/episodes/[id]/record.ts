import { readRecord } from "~/server/episode/read-record";
import { readEndpoint } from "~/server/http/endpoint";

export const GET = readEndpoint((staff, { params }) => readRecord(staff, params["id"] ?? ""));
