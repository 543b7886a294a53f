import type { Restriction } from "~/core/limit/restriction";

export const limitWhats = ["knee", "hip", "bearing-none", "bearing-two-legs", "impact", "note"] as const;

/** A line of the surgeon's timeline as typed. */
export interface LimitField {
  readonly what: (typeof limitWhats)[number];
  readonly degrees: string;
  readonly says: string;
  readonly from: string;
  readonly until: string;
}

/** The limit that a line of the form means; without words of its own it gets the usual ones. */
export function toLimit({ what, degrees, says, from, until }: LimitField): Restriction {
  const common = {
    origin: "surgeon" as const,
    says: says.trim() || usualWords(what, degrees),
    ...(from ? { from } : {}),
    ...(until ? { until } : {}),
  };
  switch (what) {
    case "knee":
    case "hip":
      return { kind: "range-limit", joint: what, mostDeg: Number(degrees), ...common };
    case "bearing-none":
      return { kind: "bearing", most: "none", ...common };
    case "bearing-two-legs":
      return { kind: "bearing", most: "two-legs", ...common };
    case "impact":
      return { kind: "forbid", codes: ["impact"], ...common };
    case "note":
      return { kind: "note", ...common };
  }
}

function usualWords(what: LimitField["what"], degrees: string): string {
  const words: Record<LimitField["what"], string> = {
    knee: `knee bend to ${degrees}°`,
    hip: `hip bend to ${degrees}°`,
    "bearing-none": "no weight on the leg",
    "bearing-two-legs": "weight on both legs only",
    impact: "no running or jumping",
    note: "as the surgeon wrote",
  };
  return words[what];
}

/** A limit as a line of the form, or null for one that only the record can hold. */
export function limitField(limit: Restriction): LimitField | null {
  const { says, from = "", until = "" } = limit;
  const line = (what: LimitField["what"], degrees = "") => ({ what, degrees, says, from, until });
  switch (limit.kind) {
    case "range-limit":
      return limit.mostDeg === undefined || limit.leastDeg !== undefined
        ? null
        : line(limit.joint, String(limit.mostDeg));
    case "bearing":
      return limit.most === "one-leg" ? null : line(`bearing-${limit.most}`);
    case "forbid":
      return limit.codes.join() === "impact" ? line("impact") : null;
    case "note":
      return line("note");
    default:
      return null;
  }
}
