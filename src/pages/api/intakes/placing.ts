import { PlacingBody } from "~/core/interchange/intake-contract";
import { mayRecord } from "~/server/auth/staff-context";
import { now } from "~/server/clock";
import { writeEndpoint } from "~/server/http/endpoint";
import { checkIntake } from "~/server/intake/propose-placing";

/** Proposes stage and plan for an intake; nothing is stored. */
export const POST = writeEndpoint(PlacingBody, mayRecord, async (staff, { intake }) => {
  const { placing } = await checkIntake(staff, intake, now());
  return placing;
});
