import { RetirementBody } from "~/core/interchange/plan-contract";
import { signingRoles } from "~/server/auth/staff-context";
import { retireExercise } from "~/server/catalogue/change-catalogue";
import { writeEndpoint } from "~/server/http/endpoint";

export const POST = writeEndpoint(RetirementBody, signingRoles, retireExercise);
