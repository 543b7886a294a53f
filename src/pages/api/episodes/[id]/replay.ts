import { readEndpoint } from "~/server/http/endpoint";
import { readReplay } from "~/server/episode/read-schools";

export const GET = readEndpoint((staff, { params }) => readReplay(staff, params["id"] ?? ""));
