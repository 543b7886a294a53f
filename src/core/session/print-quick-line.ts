import { painWordOf } from "./pain-words";
import type { QuickLine, QuickPart, QuickSet } from "./quick-line";

/** A parsed line written out in full words, one way only; parsing it again gives the same line. */
export function printQuickLine({ item, parts }: Pick<QuickLine, "item" | "parts">): string {
  const named = item ? `${item.text}: ` : "";
  return `${named}${parts.map(printPart).join("; ")}`.trim();
}

function printPart({ side, sets }: QuickPart): string {
  return [side ?? "", sets.map(printSet).join(" / ")].filter(Boolean).join(" ");
}

function printSet(set: QuickSet): string {
  const { count, reps, holdSeconds, contacts, minutes, loadKg, forceN, pain, site, effort, confidence } = set;
  const { painWith, painFromDeg, painToDeg } = set;
  const arc = [painFromDeg, painToDeg].filter((deg) => deg !== undefined).join(" to ");
  const amounts = [
    reps === undefined ? "" : `${reps}`,
    holdSeconds === undefined ? "" : reps === undefined ? `${holdSeconds}s` : `hold ${holdSeconds}`,
    contacts === undefined ? "" : `${contacts}c`,
    minutes === undefined ? "" : `${minutes}min`,
    loadKg === undefined ? "" : `${loadKg}kg`,
    forceN === undefined ? "" : `${forceN}n`,
  ].filter(Boolean);
  const times = count > 1 ? `${count}x` : "";
  return [
    `${times}${amounts.join(" ")}`,
    pain === undefined ? "" : `pain ${pain}`,
    site ?? "",
    painWith === undefined ? "" : `${painWordOf(painWith) ?? ""} ${arc}`.trim(),
    effort === undefined ? "" : `effort ${effort}`,
    ...set.faults.map(({ fault, severity, reps: spoiled, phase }) =>
      [severity === "marked" ? "fault" : "slight", fault, phase ?? "", spoiled]
        .filter((w) => w !== "")
        .join(" "),
    ),
    set.limit === undefined ? "" : `limit ${set.limit}`,
    set.pinchGrade === undefined ? "" : String(set.pinchGrade),
    confidence === undefined ? "" : `sure ${confidence}`,
  ]
    .filter(Boolean)
    .join(" ");
}
