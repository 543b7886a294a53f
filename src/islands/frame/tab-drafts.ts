/** What somebody was typing, as it is kept in the tab. */
export type TabDrafts = readonly (readonly [key: string, value: string])[];

/**
 * Takes what was being typed out of the tab's storage: nobody is signed in any more, and whoever sits down next is to find none of it.
 *
 * @returns what it was, for whoever typed it when they sign in again at this page
 */
export function takeDrafts(storage: Storage): TabDrafts {
  const drafts = Object.keys(storage).map((key) => [key, storage.getItem(key) ?? ""] as const);
  storage.clear();
  return drafts;
}

/** Puts back what was taken. */
export function putDrafts(storage: Storage, drafts: TabDrafts): void {
  for (const [key, value] of drafts) storage.setItem(key, value);
}
