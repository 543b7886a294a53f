import { useEffect, useRef } from "react";
import { tinykeys } from "tinykeys";

export type Shortcuts = Readonly<Record<string, (event: KeyboardEvent) => void>>;

/** Signs that some keyboards make with the shift key and others without. */
const signs = new Set(["/", "?"]);

/**
 * Single keys that work anywhere on a page, except where somebody types. A key that was pressed for something of its own, as Enter
 * on a button, is left to that.
 *
 * @param shortcuts by key, as `KeyboardEvent.key` names it
 */
export function useShortcuts(shortcuts: Shortcuts): void {
  const latest = useRef(shortcuts);
  useEffect(() => {
    latest.current = shortcuts;
  });
  const keys = Object.keys(shortcuts).join(" ");
  useEffect(() => {
    const bound = keys.split(" ").flatMap((key) => {
      const run = (event: KeyboardEvent) => {
        // Somebody who speaks to the device, or whose hand trembles, turns single letters off (WCAG 2.1.4).
        if (/^[a-z]$/.test(key) && document.body.dataset["letters"] === "off") return;
        if (!isTaken(event)) latest.current[key]?.(event);
      };
      return signs.has(key)
        ? [
            [key, run],
            [`Shift+${key}`, run],
          ]
        : [[key, run]];
    });
    return tinykeys(window, Object.fromEntries(bound) as Parameters<typeof tinykeys>[1]);
  }, [keys]);
}

/** Whether single letters lead from view to view, from now on. */
export function letLetters(lead: boolean): void {
  document.body.dataset["letters"] = lead ? "on" : "off";
}

/** Puts the cursor into a field, and keeps the key that asked for it from being typed there. */
export function focusInstead(event: KeyboardEvent, field: HTMLElement | null): void {
  event.preventDefault();
  field?.focus();
}

function isTaken({ key, target, ctrlKey, metaKey }: KeyboardEvent): boolean {
  if (!(target instanceof HTMLElement)) return false;
  // What a dialog asks comes first; a letter meant for it, or for one that is being fetched, must not lead away from it.
  if (document.querySelector("dialog[open], [data-opening]")) return true;
  if (ctrlKey || metaKey) return false;
  // A box that is ticked is no field that is typed in.
  if (signs.has(key) && target.matches("input[type=checkbox], input[type=radio]")) return false;
  if (target.isContentEditable || /^(INPUT|TEXTAREA|SELECT)$/.test(target.tagName)) return true;
  return key === "Enter" && /^(BUTTON|A|SUMMARY)$/.test(target.tagName);
}
