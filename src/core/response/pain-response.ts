import { Type, type Static } from "@sinclair/typebox";
import { oneOf } from "~/core/schema/one-of";
import { PainSchoolCode, painSchool } from "./pain-school";

/** Pain on the numeric rating scale: a whole number 0–10. */
export const Pain = Type.Integer({ minimum: 0, maximum: 10, description: "Pain, whole number 0–10" });

export const PainResponseInput = Type.Object(
  {
    school: PainSchoolCode,
    painBefore: Pain,
    painDuring: Pain,
    painNextDay: Type.Optional(Pain),
  },
  { additionalProperties: false },
);

export const DuringBand = oneOf(["go", "hold", "ease"]);
export const NextDayBand = oneOf(["fine", "hold", "ease", "unknown"]);
export const PainResponseOutput = Type.Object({ during: DuringBand, nextDay: NextDayBand });

export type DuringBand = Static<typeof DuringBand>;
export type NextDayBand = Static<typeof NextDayBand>;

/**
 * Judges the pain of a session and of the morning after by a pain school.
 * When the pain before already lies above the school's go band, pain during is judged by its rise
 * (≤ 1 hold, ≥ 2 ease): a sore start is held, not punished.
 *
 * @param input whole numbers 0–10; `painNextDay` left out means that the report is not in
 * @returns the band during and the band of the next day (`unknown` without a report)
 * @example painResponse({ school: "monitored", painBefore: 1, painDuring: 1, painNextDay: 1 })
 *   // { during: "go", nextDay: "fine" }
 * @example painResponse({ school: "monitored", painBefore: 4, painDuring: 4 })
 *   // { during: "hold", nextDay: "unknown" }
 * Source: Thomeé 1997, Silbernagel 2007, Malliaras 2015, Hickey 2020 for the bands (recalled); rises common practice.
 */
export function painResponse(input: Static<typeof PainResponseInput>): Static<typeof PainResponseOutput> {
  return { during: duringBand(input), nextDay: nextDayBand(input) };
}

function duringBand(input: Static<typeof PainResponseInput>): DuringBand {
  const school = painSchool(input.school);
  if (input.painBefore > school.goMax) return input.painDuring - input.painBefore <= 1 ? "hold" : "ease";
  if (input.painDuring <= school.goMax) return "go";
  return input.painDuring <= school.holdMax ? "hold" : "ease";
}

function nextDayBand(input: Static<typeof PainResponseInput>): NextDayBand {
  if (input.painNextDay === undefined) return "unknown";
  const school = painSchool(input.school);
  if (school.easeAtNextDay !== null && input.painNextDay >= school.easeAtNextDay) return "ease";
  const rise = input.painNextDay - input.painBefore;
  if (rise <= school.fineMaxRise) return "fine";
  return rise <= school.holdMaxRise ? "hold" : "ease";
}
