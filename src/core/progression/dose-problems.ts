import type { FieldProblem } from "~/core/schema/field-problem";
import type { Variant } from "~/core/exercise/exercise";
import type { Dose } from "~/core/dose/dose";
import { doseMinutes } from "~/core/dose/dose-minutes";
import { doseStyle } from "~/core/dose/dose-style";
import { tempoSeconds } from "~/core/dose/tempo";

/** Most ground contacts a session may ask for: the advanced band of Potach & Chu (NSCA), recalled. */
export const mostContacts = 140;
const longestMinutes = 60;

type Movement = Pick<Variant, "settings" | "turns" | "kit">;

/** A reason why a dose makes no sense, at a field of the dose. */
type Rule = (dose: Dose, movement: Movement) => FieldProblem[];

/**
 * Why a dose makes no sense for a variant: ranges the wrong way round, a style that does not fit the contraction, a
 * load that nothing can carry, more contacts or minutes than anybody is asked for.
 *
 * @param path where the dose stands, for the problems' paths
 * @returns problems by path; empty when the dose fits
 */
export function doseProblems(dose: Dose, movement: Movement, path: string): FieldProblem[] {
  const found = rules.flatMap((rule) => rule(dose, movement));
  return found.map(({ path: field, problem }) => ({ path: `${path}${field}`, problem }));
}

const work = ["reps", "hold", "contacts", "minutes"] as const;
const when = (applies: boolean, path: string, problem: string): FieldProblem[] =>
  applies ? [{ path, problem }] : [];
const canLoad = ({ turns }: Movement) => turns.some((turn) => turn.knob === "load");

const rules: readonly Rule[] = [
  (dose) =>
    when(
      !work.some((key) => dose[key] !== undefined),
      "",
      "asks for nothing: give reps, a hold, contacts or minutes",
    ),
  (dose) =>
    (["reps", "hold", "contacts"] as const).flatMap((key) =>
      when((dose[key]?.bottom ?? 0) > (dose[key]?.top ?? 0), `/${key}`, "bottom is above top"),
    ),
  ({ effort }) =>
    when(!!effort && effort.lowPercent > effort.highPercent, "/effort", "the lower end is above the upper"),
  (dose) =>
    work.flatMap((key) =>
      when(
        dose[key] !== undefined && !doseStyle(dose.style).work.includes(key),
        `/${key}`,
        `is not how the style ${dose.style} counts its work`,
      ),
    ),
  ({ style, policy }) =>
    when(!doseStyle(style).policies.includes(policy), "/policy", `does not go with the style ${style}`),
  ({ style }, { settings }) => {
    const { contraction } = settings;
    const fits = doseStyle(style).contractions;
    return when(
      fits !== undefined && contraction !== undefined && !fits.includes(String(contraction)),
      "/style",
      `${style} makes no sense for ${String(contraction)} work`,
    );
  },
  ({ style, daysPerWeek }) => {
    const most = doseStyle(style).maximumDaysPerWeek ?? 7;
    return when(daysPerWeek > most, "/daysPerWeek", `is more than the ${most} days a week of ${style} work`);
  },
  (dose, movement) =>
    when(
      (doseStyle(dose.style).needsLoad ?? false) && !canLoad(movement),
      "/style",
      `${dose.style} needs a load, and this variant carries none`,
    ),
  (dose, movement) =>
    when((dose.loadKg ?? 0) > 0 && !canLoad(movement), "/loadKg", "cannot be carried in this variant"),
  (dose, movement) =>
    when(dose.bandN !== undefined && !movement.kit.includes("band"), "/bandN", "needs a variant with a band"),
  ({ effort }, { settings }) =>
    when(
      effort !== undefined &&
        settings["contraction"] !== undefined &&
        settings["contraction"] !== "isometric",
      "/effort",
      "is a share of a maximal hold, so the contraction must be isometric",
    ),
  ({ tempo, reps }) => [
    ...when(tempo !== undefined && tempoSeconds(tempo) <= 0, "/tempo", "lasts no time"),
    ...when(tempo !== undefined && reps === undefined, "/tempo", "needs repetitions"),
  ],
  ({ sets, contacts }) =>
    when(
      sets * (contacts?.top ?? 0) > mostContacts,
      "/contacts",
      `comes to ${sets * (contacts?.top ?? 0)} a session; ${mostContacts} at most`,
    ),
  (dose) => {
    const { minutes } = doseMinutes({ dose, sides: "both-together" });
    return when(
      dose.style !== "running" && minutes > longestMinutes,
      "",
      `comes to ${Math.round(minutes)} minutes; ${longestMinutes} at most`,
    );
  },
];
