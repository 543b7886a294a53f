import * as wire from "~/contract/shelf";
import { readShelf, setShelf } from "~/server/clinic/shelf";
import { serve } from "~/server/http/serve";

export const GET = serve(wire.readShelf, ({ staff }) => readShelf(staff));

export const POST = serve(wire.setShelf, ({ staff, body }) => setShelf(staff, body));
