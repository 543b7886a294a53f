import type { PatientFrame } from "~/contract/frame";
import { t } from "~/messages/say";

const countedInDays = 21;

/** "day 9 since injury"; from three weeks on "5 weeks since injury". */
export function saySinceOnset(days: number): string {
  if (days < countedInDays) return t("frame.daysSinceOnset", { days });
  return t("frame.weeksSinceOnset", { weeks: Math.floor(days / 7) });
}

/** The same since the latest operation, with what was done and which graft. */
export function saySinceSurgery({
  daysSince,
  procedures,
  graft,
}: NonNullable<PatientFrame["surgery"]>): string {
  const parts = [...procedures, ...(graft ? [t("frame.graft", { graft })] : [])].join(", ");
  const done = parts ? ` (${parts})` : "";
  if (daysSince < countedInDays) return t("frame.daysSinceSurgery", { days: daysSince, done });
  return t("frame.weeksSinceSurgery", { weeks: Math.floor(daysSince / 7), done });
}
