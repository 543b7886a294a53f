import * as wire from "~/contract/daily";
import { keepSessionDraft, readSessionDraft } from "~/server/episode/session-draft";
import { serve } from "~/server/http/serve";

export const GET = serve(wire.readSessionDraft, ({ staff, id }) => readSessionDraft(staff, id));

export const POST = serve(wire.keepSessionDraft, ({ staff, id, body }) => keepSessionDraft(staff, id, body));
