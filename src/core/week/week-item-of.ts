import type { Demand } from "~/core/demand/demand";
import { doseMinutes } from "~/core/dose/dose-minutes";
import type { Lane } from "~/core/exercise/body";
import { variantOf, type Exercise } from "~/core/exercise/exercise";
import { kitNeeded } from "~/core/exercise/kit-needed";
import type { Prescription } from "~/core/exercise/prescription";
import type { ItemRole } from "~/core/exercise/role";
import { sidesOf } from "~/core/exercise/sides-of";
import type { WeekItem } from "./week";

/** Lanes whose heavy work tires the legs. */
const legLanes: readonly Lane[] = [
  "knee-extensors",
  "hamstrings",
  "adductors",
  "hip-abductors",
  "hip-extensors",
  "calf",
];
const heavyStyles: readonly string[] = ["strength", "heavy-slow"];
const mostHeavyDays = 3;

interface Planned {
  readonly id: string;
  readonly exercise: Exercise;
  readonly prescription: Prescription;
  readonly lane: Lane;
  readonly role: ItemRole;
  /** What it asks of the body; null where it cannot be drawn. */
  readonly demand: Demand | null;
  /** It is stopped until that is cleared. */
  readonly stopped: boolean;
}

/**
 * An exercise of the plan as the week's planner needs to know it: its minutes, on how many days it is prescribed, its kit, and what
 * of it has to keep its distance. Its muscle is the first that the exercise names: the one that it is for.
 *
 * Source: common practice; springs on one leg and turns count as advanced.
 */
export function weekItemOf({ id, exercise, prescription, lane, role, demand, stopped }: Planned): WeekItem {
  const { dose } = prescription;
  const time = doseMinutes({ dose, sides: sidesOf(exercise, prescription) });
  const days = Math.min(7, Math.max(1, dose.daysPerWeek));
  const springs = demand !== null && demand.spring !== "none" && time.contacts > 0;
  const phase = phaseOf(lane, role, dose.style);
  return {
    id,
    minutes: Math.min(240, Math.max(0.5, time.minutes)),
    minDays: role === "optional" || stopped ? 0 : days,
    maxDays: days,
    lanes: [lane],
    kit: kitNeeded(variantOf(exercise, prescription.variantId), prescription),
    ...(legLanes.includes(lane) && heavyStyles.includes(dose.style) ? { heavyLegs: true } : {}),
    ...(isHeavy(exercise, dose) ? { heavyMuscles: exercise.muscles?.slice(0, 1) ?? [lane] } : {}),
    ...(stopped ? { suspended: true } : {}),
    ...(springs
      ? {
          spring: {
            contacts: time.contacts,
            advanced: demand.spring === "single-leg-landing" || demand.spring === "cutting",
          },
        }
      : {}),
    ...(demand?.lengthened.includes("hamstrings") ? { lengthensHamstring: true } : {}),
    ...(phase ? { phase } : {}),
  };
}

/** Work after which its muscle rests for two days: strength that is no light work, on no more days than that leaves. */
const isHeavy = ({ effort }: Exercise, { style, daysPerWeek }: Prescription["dose"]): boolean =>
  heavyStyles.includes(style) && effort !== "light" && daysPerWeek <= mostHeavyDays;

function phaseOf(lane: Lane, role: ItemRole, style: string): WeekItem["phase"] {
  if (role === "primer") return "activation";
  if (lane === "balance") return "control";
  if (lane === "mobility" || style === "stretch") return "stretch";
  if (lane === "trunk" || style === "endurance") return "endurance";
  return undefined;
}
