import * as wire from "~/contract/intake";
import { signIntake } from "~/server/intake/sign-intake";
import { serve } from "~/server/http/serve";

export const POST = serve(wire.signIntake, ({ staff, body }) => signIntake(staff, body));
