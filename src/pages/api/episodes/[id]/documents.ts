import * as wire from "~/contract/record";
import { signDocument } from "~/server/document/sign-document";
import { serve } from "~/server/http/serve";

export const POST = serve(wire.signDocument, ({ staff, id, body }) => signDocument(staff, id, body));
