import type { Written } from "~/core/interchange/contract";
import type { DocumentBody } from "~/core/interchange/daily-contract";
import type { StaffContext } from "~/server/auth/staff-context";
import { insertDocument } from "./daily-writer";
import { writeFact } from "./write-episode";

/** Signs a visit note or a letter as it was edited; the text proposed from the record is kept beside it. */
export function signDocument(staff: StaffContext, episodeId: string, body: DocumentBody): Promise<Written> {
  const fact = { table: "documents", id: body.id, action: `sign-${body.kind}` } as const;
  return writeFact(staff, episodeId, fact, ({ db, writing }) => insertDocument(db, writing, body));
}
