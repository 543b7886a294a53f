import type { AskedMovement } from "~/catalogue/loads/loads-of";
import type { Prescription } from "~/core/exercise/prescription";

/** An exercise as it is prescribed, to be asked for its loads. */
export const askedOf = ({
  exercise,
  prescription: { settings, dose },
}: {
  readonly exercise: AskedMovement["exercise"];
  readonly prescription: Prescription;
}): AskedMovement => ({ exercise, settings, loadKg: dose.loadKg ?? 0 });
