import { useSyncExternalStore } from "react";

const query = "(prefers-reduced-motion: reduce)";

function watch(changed: () => void): () => void {
  const list = matchMedia(query);
  list.addEventListener("change", changed);
  return () => list.removeEventListener("change", changed);
}

/** Whether this person wants no motion; on the server nothing moves. */
export function useCalm(): boolean {
  return useSyncExternalStore(
    watch,
    () => matchMedia(query).matches,
    () => true,
  );
}
