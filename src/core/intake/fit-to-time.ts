import { doseMinutes } from "~/core/dose/dose-minutes";
import { planMinutes } from "~/core/dose/plan-minutes";
import { sidesOf } from "~/core/exercise/sides-of";
import type { PlacedLane, Placing } from "./placing";

/** Takes sets away, from the longest item first and never the last set, until the plan fits the minutes of a day. */
export function fitToTime(
  lanes: readonly PlacedLane[],
  minutesPerDay: number,
): Pick<Placing, "lanes" | "minutes" | "fits"> {
  let now = [...lanes];
  const total = () => planMinutes(now.flatMap(({ chosen }) => (chosen ? [chosen.time] : []))).minutes;
  while (total() > minutesPerDay) {
    const longest = now
      .filter(({ chosen }) => chosen !== null && chosen.prescription.dose.sets > 1)
      .sort((a, b) => (b.chosen?.time.minutes ?? 0) - (a.chosen?.time.minutes ?? 0))[0];
    if (!longest?.chosen) break;
    const shorter = oneSetFewer(longest);
    now = now.map((entry) => (entry === longest ? shorter : entry));
  }
  return { lanes: now, minutes: total(), fits: total() <= minutesPerDay };
}

function oneSetFewer(entry: PlacedLane): PlacedLane {
  const { chosen } = entry;
  if (!chosen) return entry;
  const { dose } = chosen.prescription;
  const sets = dose.sets - 1;
  const shorter = { ...chosen.prescription, dose: { ...dose, sets } };
  const sides = sidesOf({ sides: "both-together" }, shorter);
  const reasons = entry.reasons.filter((reason) => reason.code !== "few-sets");
  return {
    ...entry,
    chosen: { ...chosen, prescription: shorter, time: doseMinutes({ dose: shorter.dose, sides }) },
    reasons: [...reasons, { code: "few-sets", values: { sets } }],
  };
}
