import type { PhoneItem } from "~/contract/phone";
import { here, saySet, saySide, type Say } from "./say-set";

type Told = Pick<PhoneItem, "prescription" | "sides" | "first">;

/** How much, in words: 3 sets of 12 times, 10 kg, slowly: 3 s down, 1 s up. */
export function sayAmount({ prescription }: Told, say: Say = here): string {
  const { sets, tempo } = prescription.dose;
  const [down, , up] = tempo?.split("-") ?? [];
  const isSlow = Number(down) > 2 || Number(up) > 2;
  const pace = isSlow ? `, ${say.t("handout.slow", { down: down ?? "", up: up ?? "" })}` : "";
  return `${say.t("handout.sets", { sets, work: saySet(prescription, say) })}${pace}`;
}

/** Which leg, how long between, how often. */
export function sayTimes({ prescription: { dose }, sides, first }: Told, say: Say = here): string {
  const parts = [
    sides === "each-side" ? say.t("handout.first", { leg: saySide(first, say) }) : "",
    sides === "one-side" ? say.t("handout.only", { leg: saySide(first, say) }) : "",
    dose.restSeconds > 0 && dose.sets > 1 ? say.t("handout.rest", { seconds: dose.restSeconds }) : "",
    say.t("handout.days", { days: dose.daysPerWeek }),
    dose.boutsPerDay && dose.boutsPerDay > 1 ? say.t("handout.bouts", { bouts: dose.boutsPerDay }) : "",
  ]
    .filter(Boolean)
    .join("; ");
  return `${parts.charAt(0).toUpperCase()}${parts.slice(1)}`;
}
