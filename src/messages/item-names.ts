import { variantOf, type Exercise } from "~/core/exercise/exercise";
import type { Prescription } from "~/core/exercise/prescription";
import type { ItemRole } from "~/core/exercise/role";
import { sayKnobValue } from "./say-knob-value";
import { label, t } from "./say";

/** An exercise of a plan as far as its name goes. */
export interface NamedItem {
  readonly itemId: string;
  readonly exercise: Exercise;
  readonly prescription: Prescription;
  readonly role: ItemRole;
}

/**
 * What the exercises of a plan are called: by their name; where one stands in it in several settings, with what tells them apart
 * (variant, else the settings that differ, the leg, the role).
 */
export function itemNames(items: readonly NamedItem[]): Map<string, string> {
  return new Map(
    items.map((item) => {
      const twins = items.filter(({ exercise }) => exercise.id === item.exercise.id);
      return [item.itemId, twins.length > 1 ? nameApart(item, twins) : item.exercise.name];
    }),
  );
}

function nameApart({ exercise, prescription, role }: NamedItem, twins: readonly NamedItem[]): string {
  const variants = new Set(twins.map((twin) => twin.prescription.variantId));
  const alike = twins.filter((twin) => twin.prescription.variantId === prescription.variantId);
  const differs = (pick: (twin: NamedItem) => unknown) => new Set(alike.map(pick)).size > 1;
  const knobs = Object.entries(prescription.settings).filter(([name]) =>
    differs((twin) => twin.prescription.settings[name]),
  );
  const parts = [
    ...(variants.size > 1 ? [variantOf(exercise, prescription.variantId).name] : []),
    ...knobs.map(([name, value]) => `${label("knob", name)} ${sayKnobValue(name, value)}`),
    ...(differs((twin) => twin.prescription.leg) && prescription.leg
      ? [t(`dose.leg.${prescription.leg}`)]
      : []),
    ...(differs((twin) => twin.role) ? [t(`role.${role}`)] : []),
  ];
  return parts.length > 0 ? `${exercise.name}: ${parts.join(", ")}` : exercise.name;
}
