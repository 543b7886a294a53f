import { IntakeBody } from "~/core/interchange/intake-contract";
import { signingRoles } from "~/server/auth/staff-context";
import { writeEndpoint } from "~/server/http/endpoint";
import { signIntake } from "~/server/intake/sign-intake";

export const POST = writeEndpoint(IntakeBody, signingRoles, signIntake);
