import type { SchoolBody, Written } from "~/contract/episode";
import type { StaffContext } from "~/server/staff-context";
import { schools } from "~/server/facts/schools";
import { appendFact } from "~/server/facts/sql";
import { writeFact } from "~/server/episode/write-fact";

/** Sets the pain school of an episode, with the reason. */
export function setSchool(staff: StaffContext, episodeId: string, body: SchoolBody): Promise<Written> {
  const fact = { of: "schools", body, action: "set-school" } as const;
  return writeFact(staff, episodeId, fact, ({ db, writing }) =>
    appendFact(db, writing, schools, { ...body, at: writing.at }),
  );
}
