import type { Asks } from "~/core/exercise/asks";
import type { Muscle } from "~/core/exercise/body";
import type { Exercise, Variant } from "~/core/exercise/exercise";

/** What older definitions forbid by a code, as what the movement asks. */
const legacy: Readonly<Record<string, Asks>> = {
  "resisted-knee-flexion": { resisted: ["hamstrings"] },
  "open-chain-knee-extension": { resisted: ["quadriceps"] },
  "adductor-stretch": { lengthened: ["adductors"] },
  "hamstring-lengthening": { lengthened: ["hamstrings"] },
};

/**
 * What a variant asks beyond its drawing: its own words, else its exercise's; of a definition kept from before there were any,
 * what its codes mean.
 *
 * @example asksOf({ forbiddenBy: ["resisted-knee-flexion"] }, {}).resisted // ["hamstrings"]
 */
export function asksOf(
  exercise: Pick<Exercise, "asks" | "forbiddenBy">,
  variant: Pick<Variant, "asks">,
): Asks {
  if (exercise.asks || variant.asks) return { ...exercise.asks, ...variant.asks };
  const known = (exercise.forbiddenBy ?? []).flatMap((code) => legacy[code] ?? []);
  const all = (key: "resisted" | "lengthened"): Muscle[] => known.flatMap((asks) => asks[key] ?? []);
  return {
    ...(all("resisted").length > 0 ? { resisted: all("resisted") } : {}),
    ...(all("lengthened").length > 0 ? { lengthened: all("lengthened") } : {}),
    ...(exercise.forbiddenBy?.includes("pivoting") ? { spring: "cutting" as const } : {}),
  };
}
