import { v7 as uuid } from "uuid";

/** How long an id outlives a failure that left open whether the write arrived; after that the intent is another one. */
const keptMs = 30 * 60_000;
const keyOf = (intent: string) => `intent ${intent}`;

/**
 * The id of what somebody is about to write: made once for an intent, and kept in this tab over retries and reloads, so that
 * a lost answer and a second press are one write.
 *
 * @param intent names what is written and about what
 * @param now milliseconds
 */
export function idOfIntent(intent: string, now = Date.now()): string {
  const kept = sessionStorage.getItem(keyOf(intent));
  const [id, since] = kept?.split(" ") ?? [];
  if (id !== undefined && now - Number(since) < keptMs) return id;
  const made = uuid();
  sessionStorage.setItem(keyOf(intent), `${made} ${now}`);
  return made;
}

/** The intent is carried out, or was refused for good: the next one is new. */
export function endIntent(intent: string): void {
  sessionStorage.removeItem(keyOf(intent));
}
