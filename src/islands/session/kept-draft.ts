import type { KeptSessionDraft } from "~/contract/daily";
import { orNull, parseKept, shape, text } from "~/islands/frame/kept-shape";
import type { SessionDraft } from "./session-draft";
import { isSessionDraft } from "./session-draft-shape";

/**
 * An unfinished session stays on this device until the tab is closed or somebody signs out, and is sent to the clinic's
 * own database as it grows, so that neither a lost connection nor a lost device loses it.
 */
interface Kept {
  readonly draft: SessionDraft;
  /** When the database last took it; null while it never did. */
  readonly savedAt: string | null;
}

const isKept = shape<Kept>({ draft: isSessionDraft, savedAt: orNull(text) });
const keyOf = (episodeId: string) => `session-${episodeId}`;

export function keepDraft(episodeId: string, draft: SessionDraft, savedAt: string | null): void {
  sessionStorage.setItem(keyOf(episodeId), JSON.stringify({ draft, savedAt } satisfies Kept));
}

export function forgetDraft(episodeId: string): void {
  sessionStorage.removeItem(keyOf(episodeId));
}

/**
 * The session to go on with: this device's, unless another has gone on with it since, or has recorded it (the database
 * took it once and has none any more). What is not of the shape that this version writes is passed over: the next save
 * takes its place.
 */
export function draftToResume(episodeId: string, inDatabase: KeptSessionDraft["draft"]): Kept | null {
  const here = parseKept(sessionStorage.getItem(keyOf(episodeId)), isKept);
  const there =
    inDatabase && isSessionDraft(inDatabase.body)
      ? { draft: inDatabase.body, savedAt: inDatabase.savedAt }
      : null;
  if (!here?.savedAt) return here ?? there;
  if (!there || there.savedAt > here.savedAt) return there;
  return here;
}
