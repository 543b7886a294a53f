import type { DoseLine, DoseLineContext, DoseLineProblem, DoseLineTurns, TermRead } from "./dose-term";
import { doseTerms } from "./dose-terms";

const between = /[\s,;·]+|(?:and|with|at|of|on|for)(?=\s|$)/iuy;
const anything = /[^\s,;·]+/uy;

/**
 * Reads a prescription as it is said in one breath: `3x8-12 20kg 15cm leaning right rest 90 3/week`. The terms may stand in any order; a
 * word is as long as it takes to be the only one. What was not said stays as it is, and what cannot be read is named, never guessed.
 *
 * @param text any text; never throws
 * @param context what is prescribed so far, and the words of its settings
 * @example readDoseLine("4x6 20kg", { prescription: { settings: {}, dose: { style: "strength" } }, words: [], involvedSide: "left" })
 *   // { turns: { dose: { sets: 4, reps: { bottom: 6, top: 6 }, loadKg: 20 } }, problems: [] }
 */
export function readDoseLine(text: string, context: DoseLineContext): DoseLine {
  const line = text
    .replaceAll(/[×*]/gu, "x")
    .replaceAll(/[–—]/gu, "-")
    .replaceAll(/(?<=\d),(?=\d)/gu, ".");
  const problems: DoseLineProblem[] = [];
  let turns: DoseLineTurns = {};
  let at = 0;
  while (at < line.length) {
    const skipped = matchAt(between, line, at);
    if (skipped) {
      at += skipped[0].length;
      continue;
    }
    const { length, read } = termAt(line, at, context);
    const said = text.slice(at, at + length);
    if (read === null) problems.push({ kind: "unknown", at, text: said });
    else if ("among" in read) problems.push({ kind: "several", at, text: said, among: read.among });
    else if (meets(turns, read)) problems.push({ kind: "twice", at, text: said });
    else turns = joined(turns, read);
    at += length;
  }
  return { turns, problems };
}

function termAt(line: string, at: number, context: DoseLineContext): { length: number; read: TermRead } {
  for (const { pattern, read } of doseTerms) {
    const match = matchAt(pattern, line, at);
    const found = match ? read(match, context) : null;
    if (match && found !== null) return { length: match[0].length, read: found };
  }
  return { length: matchAt(anything, line, at)?.[0].length ?? 1, read: null };
}

function matchAt(pattern: RegExp, line: string, at: number): RegExpExecArray | null {
  const sticky = new RegExp(pattern.source, "iuy");
  sticky.lastIndex = at;
  return sticky.exec(line);
}

/** Whether two readings speak of the same thing. */
const meets = (a: DoseLineTurns, b: DoseLineTurns): boolean =>
  namesOf(a).some((name) => namesOf(b).includes(name));

const namesOf = ({ settings = {}, dose = {}, ...rest }: DoseLineTurns): string[] => [
  ...Object.keys(settings).map((name) => `settings ${name}`),
  ...Object.keys(dose).map((name) => `dose ${name}`),
  ...Object.keys(rest),
];

const joined = (a: DoseLineTurns, b: DoseLineTurns): DoseLineTurns => ({
  ...a,
  ...b,
  ...(a.settings || b.settings ? { settings: { ...a.settings, ...b.settings } } : {}),
  ...(a.dose || b.dose ? { dose: { ...a.dose, ...b.dose } } : {}),
});
