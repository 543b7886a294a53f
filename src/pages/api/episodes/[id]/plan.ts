import { readEndpoint } from "~/server/http/endpoint";
import { readPlan } from "~/server/plan/read-plan";

export const GET = readEndpoint((staff, { params }) => readPlan(staff, params["id"] ?? ""));
