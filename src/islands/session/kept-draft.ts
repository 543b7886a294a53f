import type { SessionDraft } from "./session-draft";

/**
 * An unfinished session stays on this device until the tab is closed or somebody signs out, so that a lost
 * connection or a wrong tap loses nothing. It is bound to the version of the plan it was begun on.
 */
const keyOf = (episodeId: string) => `session-${episodeId}`;

interface Kept {
  version: number;
  draft: SessionDraft;
}

export function keepDraft(episodeId: string, version: number, draft: SessionDraft): void {
  sessionStorage.setItem(keyOf(episodeId), JSON.stringify({ version, draft } satisfies Kept));
}

export function keptDraft(episodeId: string, version: number): SessionDraft | null {
  const text = sessionStorage.getItem(keyOf(episodeId));
  if (!text) return null;
  const kept = JSON.parse(text) as Kept;
  return kept.version === version ? kept.draft : null;
}

export function forgetDraft(episodeId: string): void {
  sessionStorage.removeItem(keyOf(episodeId));
}
