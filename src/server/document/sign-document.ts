import type { Written } from "~/contract/episode";
import type { DocumentBody } from "~/contract/record";
import type { StaffContext } from "~/server/staff-context";
import { documents } from "~/server/facts/documents";
import { appendFact } from "~/server/facts/sql";
import { proposedFor } from "./read-document";
import { writeFact } from "~/server/episode/write-fact";

/** Signs a visit note or a letter as it was edited; the text proposed from the record is kept beside it. */
export function signDocument(staff: StaffContext, episodeId: string, body: DocumentBody): Promise<Written> {
  const fact = { of: "documents", body, action: `sign-${body.kind}` } as const;
  return writeFact(staff, episodeId, fact, async ({ db, writing, loaded }) => {
    const { id, kind, body: text } = body;
    const proposed = await proposedFor(staff, loaded, body);
    await appendFact(db, writing, documents, { id, kind, body: text, proposed, at: writing.at });
  });
}
