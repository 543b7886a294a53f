import * as wire from "~/contract/intake";
import { keepDraft, readDrafts } from "~/server/intake/drafts";
import { serve } from "~/server/http/serve";

export const GET = serve(wire.listIntakeDrafts, ({ staff }) => readDrafts(staff));

export const POST = serve(wire.keepIntakeDraft, ({ staff, body }) => keepDraft(staff, body));
