import type { VisitDraft } from "./entry-draft";

const keyOf = (episodeId: string) => `visit-${episodeId}`;

/** Keeps what is being typed in this tab, so that leaving the page or a lost connection loses nothing. */
export function keepVisitDraft(episodeId: string, draft: VisitDraft): void {
  sessionStorage.setItem(keyOf(episodeId), JSON.stringify(draft));
}

/** What was being typed, or null. */
export function keptVisitDraft(episodeId: string): VisitDraft | null {
  const text = sessionStorage.getItem(keyOf(episodeId));
  return text === null ? null : (JSON.parse(text) as VisitDraft);
}

export function dropVisitDraft(episodeId: string): void {
  sessionStorage.removeItem(keyOf(episodeId));
}
