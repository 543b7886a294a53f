import type { ForbidCode } from "~/core/exercise/body";
import type { Predicate } from "./limit";
import type { Restriction } from "./restriction";

/** What a code of older stages and limits asks of a demand; codes that are not here stand on the exercise alone. */
const ofCode: Partial<Readonly<Record<ForbidCode, readonly Predicate[]>>> = {
  "straight-leg-raise": [{ kind: "straight-leg-raise" }],
  "adductor-stretch": [
    { kind: "lengthened", muscle: "adductors" },
    { kind: "stretched", muscle: "adductors" },
  ],
  "hamstring-lengthening": [
    { kind: "lengthened", muscle: "hamstrings" },
    { kind: "stretched", muscle: "hamstrings" },
  ],
  "resisted-knee-flexion": [{ kind: "resisted", muscle: "hamstrings", most: "none" }],
  kneeling: [{ kind: "kneeling" }],
  impact: [{ kind: "spring", most: "none" }, { kind: "running" }],
  pivoting: [{ kind: "spring", most: "single-leg-landing" }],
};

const bearing: Readonly<Record<"none" | "two-legs" | "one-leg", readonly Predicate[]>> = {
  none: [
    { kind: "weight", mostShare: 0 },
    { kind: "spring", most: "none" },
  ],
  "two-legs": [
    { kind: "legs", most: "both" },
    { kind: "spring", most: "none" },
  ],
  "one-leg": [{ kind: "spring", most: "none" }],
};

/**
 * The questions that a restriction of the record puts to a demand; older kinds are read as what they mean. Empty for those of a
 * plan's own words.
 *
 * @example predicatesOf({ kind: "bearing", most: "one-leg", origin: "surgeon", says: "no jumps" }) // [{ kind: "spring", most: "none" }]
 */
export function predicatesOf(limit: Restriction): readonly Predicate[] {
  switch (limit.kind) {
    case "knob-limit":
    case "variants":
    case "phases":
    case "note":
      return [];
    case "range-limit": {
      const { joint, leastDeg, mostDeg } = limit;
      const ends = {
        ...(leastDeg === undefined ? {} : { leastDeg }),
        ...(mostDeg === undefined ? {} : { mostDeg }),
      };
      return [{ kind: "range", joint, ...ends, when: "any", leg: "involved" }];
    }
    case "bearing":
      return bearing[limit.most];
    case "forbid":
      return limit.codes.flatMap((code) => ofCode[code] ?? []);
    default:
      return [limit];
  }
}
