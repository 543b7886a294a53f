import type { DemandBook } from "~/core/demand/demand-book";
import { doseMinutes } from "~/core/dose/dose-minutes";
import type { CountedItem } from "~/core/progression/plan-totals";
import type { Exercise } from "~/core/exercise/exercise";
import type { Prescription } from "~/core/exercise/prescription";
import { sidesOf } from "~/core/exercise/sides-of";

/** What an item counts towards the plan as a whole, by what it asks of this body; what cannot be drawn springs not at all. */
export function countedItem(exercise: Exercise, prescription: Prescription, book: DemandBook): CountedItem {
  const told = book.demandOf(exercise, prescription);
  const { dose } = prescription;
  return {
    time: doseMinutes({ dose, sides: sidesOf(exercise, prescription) }),
    spring: told.ok ? told.demand.spring : "none",
    daysPerWeek: dose.daysPerWeek,
  };
}
