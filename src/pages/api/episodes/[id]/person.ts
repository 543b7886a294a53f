import * as wire from "~/contract/people";
import { serve } from "~/server/http/serve";
import { readPerson } from "~/server/people/person-view";

export const GET = serve(wire.readPerson, ({ staff, id }) => readPerson(staff, id));
