import { measureByCode } from "~/catalogue/measures/all";
import { groinPathway } from "~/catalogue/pathways/groin";
import { pathwayByCode } from "~/catalogue/pathways/all";
import { measuresOf } from "~/catalogue/pathways/measures-of";
import type { CaseFile } from "~/core/case/case-file";
import type { Measure } from "~/core/measure/measure";
import { seeded } from "./identity";
import type { DemoProfile } from "./simulate";

/** Every measure that the pathway's gates read, or that was taken. */
export function measuresFor({ pathway, results }: DemoProfile): Measure[] {
  const read = measuresOf(pathwayByCode(pathway ?? groinPathway.code));
  const taken = ["standing-height", ...results.map(([code]) => code)].map(measureByCode);
  return [...new Set([...read, ...taken])];
}

const trialSpread = [0.95, 1, 0.97];
const weeksBack = [4, 3, 2, 1];

/** The results of a profile with their trials; a strength that is known today was weaker in the weeks before. */
export function measured(
  profile: DemoProfile,
  date: (daysAgo: number) => string,
  id: (...name: (string | number)[]) => string,
): CaseFile["results"] {
  const random = seeded(profile.seed + 1000);
  const height = [
    "standing-height",
    "none",
    156 + ((profile.seed * 7) % 37),
    profile.onsetDaysAgo - 1,
  ] as const satisfies DemoProfile["results"][number];
  return [...profile.results, height].flatMap(([code, side, value, daysAgo, way], n) => {
    const measure = measureByCode(code);
    const strength = measure.group === "strength";
    const position = way ?? measure.ways?.[0];
    const result = (on: number, of: number, name: string | number) => {
      const trials = strength
        ? trialSpread.map((share) => Math.round(of * (share === 1 ? 1 : share + random() * 0.02)))
        : undefined;
      return {
        id: id("result", n, name),
        measure: code,
        side,
        value: of,
        takenOn: date(on),
        occasion: "since-injury" as const,
        ...(position === undefined ? {} : { position }),
        ...(trials === undefined ? {} : { trials }),
      };
    };
    const earlier = strength && side !== "none" ? weeksBack : [];
    const history = earlier
      .filter((weeks) => daysAgo + 7 * weeks < profile.onsetDaysAgo - 4)
      .map((weeks) => {
        const gained = side === profile.side ? 0.08 * weeks : -0.01 * weeks;
        return result(daysAgo + 7 * weeks, Math.round(value * (1 - gained + (random() - 0.5) * 0.03)), weeks);
      });
    return [...history, result(daysAgo, value, "latest")];
  });
}
