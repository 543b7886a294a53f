import { pathwayByCode } from "~/catalogue/pathways/all";
import type { Intake } from "~/core/intake/intake";
import { fullGym } from "~/core/exercise/kit";

/** A sound intake for a pathway on 10 March 2026; operated on three days before where the pathway follows an operation. */
export function someIntake(pathway: string, over: Partial<Intake> = {}): Intake {
  const { procedures, grafts } = pathwayByCode(pathway);
  const [procedure] = procedures ?? [];
  const [graft] = grafts ?? [];
  return {
    person: { givenName: "Runa", familyName: "Testrup", bornOn: "1985-04-02", activity: "Rower" },
    pathway,
    diagnosis: "as the pathway says",
    involvedSide: "left",
    onsetOn: "2026-02-10",
    cause: "sudden-load",
    ...(procedure ? { surgery: { on: "2026-03-07", procedure, ...(graft ? { graft } : {}) } } : {}),
    limits: [],
    redFlags: [],
    medicines: [],
    illnesses: [],
    fellLastYear: false,
    reachesFloor: true,
    tasks: [{ text: "Climb the stairs at work", rating: 4 }],
    daysPerWeek: 4,
    minutesPerDay: 40,
    kit: [...fullGym],
    cannotPositions: [],
    irritability: "moderate",
    consent: true,
    ...over,
  };
}
