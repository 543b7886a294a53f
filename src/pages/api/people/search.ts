import * as wire from "~/contract/people";
import { serve } from "~/server/http/serve";
import { findPeople } from "~/server/people/find-people";

export const POST = serve(wire.findPeople, async ({ staff, body }) => ({
  people: await findPeople(staff, body.text),
}));
