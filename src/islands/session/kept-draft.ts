import type { KeptSessionDraft } from "~/core/interchange/daily-contract";
import type { SessionDraft } from "./session-draft";

/**
 * An unfinished session stays on this device until the tab is closed or somebody signs out, and is sent to the clinic's
 * own database as it grows, so that neither a lost connection nor a lost device loses it.
 */
interface Kept {
  readonly draft: SessionDraft;
  /** When the database last took it; null while it never did. */
  readonly savedAt: string | null;
}

const keyOf = (episodeId: string) => `session-${episodeId}`;

export function keepDraft(episodeId: string, draft: SessionDraft, savedAt: string | null): void {
  sessionStorage.setItem(keyOf(episodeId), JSON.stringify({ draft, savedAt } satisfies Kept));
}

export function forgetDraft(episodeId: string): void {
  sessionStorage.removeItem(keyOf(episodeId));
}

/**
 * The session to go on with: this device's, unless another has gone on with it since, or has recorded it (the database
 * took it once and has none any more).
 */
export function draftToResume(episodeId: string, inDatabase: KeptSessionDraft["draft"]): Kept | null {
  const text = sessionStorage.getItem(keyOf(episodeId));
  const here = text ? (JSON.parse(text) as Kept) : null;
  const there = inDatabase && {
    draft: inDatabase.body as unknown as SessionDraft,
    savedAt: inDatabase.savedAt,
  };
  if (!here?.savedAt) return here ?? there;
  if (!there || there.savedAt > here.savedAt) return there;
  return here;
}
