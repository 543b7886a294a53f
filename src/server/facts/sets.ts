import type { CaseSession } from "~/core/case/case-file";
import type { SetRecord } from "~/core/response/session-record";
import { id, json, number } from "./column";
import { fact } from "./fact";

/** One set of an exercise in a session. */
export const sets = fact({
  table: "session_sets",
  columns: {
    sessionId: id("session_id"),
    position: number("position"),
    itemId: id("item_id"),
    painDuring: number("pain_during"),
    set: json<SetRecord>("body"),
  },
  order: ["session_id", "position"],
  through: { table: "sessions", key: "session_id" },
  inCase: true,
  ofCase: (file) => file.sessions.flatMap((session) => setsOf(session)),
});

/** The sets of a session in the order they were recorded. */
export function setsOf({ id: sessionId, items }: Pick<CaseSession, "id" | "items">) {
  return items
    .flatMap(({ itemId, sets: done }) => done.map((set) => ({ itemId, set })))
    .map(({ itemId, set }, position) => ({ sessionId, position, itemId, painDuring: set.painDuring, set }));
}
