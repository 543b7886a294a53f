import type { CaseFile } from "~/core/case/case-file";
import type { CaseParts } from "./case-parts";
import { grouped } from "./grouped";
import { without } from "./without";

type Session = CaseFile["sessions"][number];

/** What was made of a session, and of how many sets. No fact is altered, and while an episode is kept its facts stay the same objects. */
const made = new WeakMap<
  CaseParts["sessions"][number],
  { readonly sets: number; readonly session: Session }
>();

/** Sessions with what was done in each. They come often and become many: each is made once, with the sets that it had then. */
export function sessionsOf({ sessions, sets }: Pick<CaseParts, "sessions" | "sets">): Session[] {
  const bySession = grouped(sets, (entry) => entry.sessionId);
  return sessions.map((fact) => {
    const own = bySession.get(fact.id) ?? [];
    const known = made.get(fact);
    if (known?.sets === own.length) return known.session;
    const items = [...grouped(own, (entry) => entry.itemId)].map(([itemId, entries]) => ({
      itemId,
      sets: entries.map((entry) => entry.set),
    }));
    const session = { ...without(fact, "by"), items };
    made.set(fact, { sets: own.length, session });
    return session;
  });
}
