import { startingExercises } from "~/catalogue/exercises/all";
import type { HandoutView } from "~/contract/handout";
import { firstPrescription } from "~/core/exercise/exercise";
import { sidesOf } from "~/core/exercise/sides-of";

/** A handout of so many exercises of the catalogue, evenly chosen, with a week and two limits. */
export function someHandout(count: number, over: Partial<HandoutView> = {}): HandoutView {
  const step = Math.floor(startingExercises.length / count);
  const items = startingExercises
    .filter((_, n) => n % step === 0)
    .slice(0, count)
    .map((exercise, n): HandoutView["items"][number] => {
      const [variant] = exercise.variants;
      if (!variant) throw new RangeError(`${exercise.id} has no variant`);
      const prescription = firstPrescription(variant);
      return {
        itemId: `00000000-0000-7000-8000-${String(n).padStart(12, "0")}`,
        name: exercise.name,
        lane: exercise.lane,
        exerciseId: exercise.id,
        drawnLike: exercise.drawnLike ?? null,
        prescription,
        sides: sidesOf(exercise, prescription),
        first: "left",
        circuit: null,
        cues: exercise.cues.slice(0, 3),
        safety: exercise.safety ?? null,
        caution: exercise.caution ?? null,
        stopped: n === 1,
        easier: null,
        since: "2026-03-01T08:00:00Z",
        doneDays: 0,
        wantedDays: prescription.dose.daysPerWeek,
      };
    });
  const ids = items.map(({ itemId }) => itemId);
  return {
    episodeId: "00000000-0000-7000-8000-00000000ffff",
    person: { givenName: "Runa", familyName: "Testrup", conditions: [] },
    clinicName: "Somewhere Clinic",
    calls: {
      emergency: "Ring 112",
      "same-day": "Ring 01 555 0100",
      soon: "Ring soon",
      review: "Ask at the desk",
    },
    today: "2026-03-09",
    zone: "Europe/Vienna",
    involvedSide: "left",
    heightM: 1.72,
    school: "monitored",
    items,
    days: [9, 10, 11].map((day, n) => ({
      date: `2026-03-${String(day).padStart(2, "0")}`,
      items: n === 1 ? [] : ids,
    })),
    limits: [
      { says: "always something to hold", from: null, until: null, origin: "stage" },
      { says: "knee bend stays within 90°", from: null, until: "2026-04-01", origin: "procedure" },
    ],
    mayMakeCode: true,
    ...over,
  };
}
