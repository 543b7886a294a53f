/** Where the focus goes back to when what had it is no longer there: marked on the part of a view that the work is in. */
const homeMark = "[data-focus-home]";

/**
 * Remembers where the work is, before something is sent.
 *
 * @returns brings the focus back there, once what was sent has changed the view, if it was lost by that
 */
export function rememberFocus(): { bringBack: () => void } {
  const home = document.activeElement?.closest<HTMLElement>(homeMark);
  const id = home?.id;
  const bringBack = () => {
    const lost = !document.activeElement || document.activeElement === document.body;
    if (!lost) return;
    // The part may have been drawn anew under the same id.
    const there = home?.isConnected ? home : id ? document.getElementById(id) : null;
    (there ?? document.getElementById("main"))?.focus({ preventScroll: true });
  };
  return { bringBack: () => requestAnimationFrame(() => requestAnimationFrame(bringBack)) };
}
