import { useEffect, useRef } from "react";

/** Calls when an element comes near to being seen. */
export function useNear(onNear: () => void) {
  const element = useRef<HTMLButtonElement>(null);
  const latest = useRef(onNear);
  useEffect(() => {
    latest.current = onNear;
    const watched = element.current;
    if (!watched) return;
    const watcher = new IntersectionObserver(
      (seen) => {
        if (seen.some(({ isIntersecting }) => isIntersecting)) latest.current();
      },
      { rootMargin: "800px 0px" },
    );
    watcher.observe(watched);
    return () => watcher.disconnect();
  });
  return element;
}
