import type { SchoolBody, Written } from "~/core/interchange/contract";
import type { StaffContext } from "~/server/auth/staff-context";
import { insertSchool } from "./fact-writer";
import { writeFact } from "./write-episode";

/** Sets the pain school of an episode, with the reason. */
export function setSchool(staff: StaffContext, episodeId: string, body: SchoolBody): Promise<Written> {
  const fact = { table: "school_settings", id: body.id, action: "set-school" } as const;
  return writeFact(staff, episodeId, fact, ({ db, writing }) => insertSchool(db, writing, body));
}
