import { quickLimits, quickPhases, quickWords } from "./quick-line-grammar";
import type { QuickItem } from "./read-quick-line";

/**
 * Ways to go on with a quick line: names of exercises before a colon, faults after `fault`, kinds after `limit`, else the
 * grammar's own words that begin as the last one does.
 *
 * @returns what is offered, and the whole line with it; at most eight, none right behind a number
 */
export function completeQuickLine(
  text: string,
  items: readonly QuickItem[],
  current: number,
): { word: string; line: string }[] {
  const partial = /[\p{L}-]*$/u.exec(text)?.[0] ?? "";
  const before = text.slice(0, text.length - partial.length);
  const typed = partial.toLowerCase();
  const words = candidates(before.trimEnd().toLowerCase(), items, current);
  const fits = words.filter((word) => word.toLowerCase().startsWith(typed) && word.toLowerCase() !== typed);
  if (partial === "" && /\S$/.test(text)) return [];
  const named = !text.includes(":") && typed !== "" && before.trim() === "";
  const names = named
    ? items.map(({ name }) => name).filter((name) => name.toLowerCase().includes(typed))
    : [];
  return [
    ...names.map((name) => ({ word: `${name}:`, line: `${name}: ` })),
    ...fits.map((word) => ({ word, line: `${before}${word} ` })),
  ].slice(0, 8);
}

function candidates(before: string, items: readonly QuickItem[], current: number): readonly string[] {
  if (/\b(fault|f|slight)$/.test(before)) return (items[current]?.faults ?? []).map(({ code }) => code);
  if (/\b(fault|f|slight) [\p{L}-]+$/u.test(before)) return [...quickPhases, "some", "most"];
  if (/\b(limit|l)$/.test(before)) return quickLimits;
  return quickWords.map(({ word }) => word);
}
