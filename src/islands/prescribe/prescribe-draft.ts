import type { Dose } from "~/core/dose/dose";
import { doseStyle, doseStyleList, type Work } from "~/core/dose/dose-style";
import { typedNumber } from "~/islands/frame/typed-number";
import { steadyTempo } from "~/core/dose/tempo";
import type { Variant } from "~/core/exercise/exercise";
import { knobByName } from "~/core/exercise/knob";
import type { KnobValue, Prescription } from "~/core/exercise/prescription";
import type { ItemRole } from "~/core/exercise/role";

/** A prescription as it stands in the form; numbers are text until they are signed. */
export interface PrescribeDraft {
  variantId: string;
  settings: Record<string, string>;
  style: Dose["style"];
  policy: Dose["policy"];
  sets: string;
  reps: { bottom: string; top: string };
  hold: { bottom: string; top: string };
  contacts: { bottom: string; top: string };
  minutes: string;
  loadKg: string;
  effort: { low: string; high: string };
  bandN: string;
  /** Down, pause, up, pause at the top, seconds. */
  tempo: [string, string, string, string];
  halfway: string;
  restSeconds: string;
  daysPerWeek: string;
  boutsPerDay: string;
  leg: "" | NonNullable<Prescription["leg"]>;
  /** What of the dose the form does not ask about; shares of a weight end once somebody types kilograms. */
  kept: Pick<Dose, "alternateSides" | "bodyWeightPercent" | "maximumPercent">;
}

/** The form: a prescription, the line it was said in, what it is in the plan for, and why. */
export type PrescribeFields = PrescribeDraft & { line: string; role: ItemRole; reason: string };

/** The form as it opens on a prescription. */
export const openedOn = (prescription: Prescription): PrescribeFields => ({
  ...draftOf(prescription),
  line: "",
  role: "main",
  reason: "",
});

const text = (value: number | undefined) => (value === undefined ? "" : String(value));
const rangeText = (range: Dose["reps"]) => ({ bottom: text(range?.bottom), top: text(range?.top) });

/** The form filled with a prescription. */
export function draftOf({ variantId, settings, dose, leg }: Prescription): PrescribeDraft {
  const [down = "", low = "", up = "", top = ""] = (dose.tempo ?? "").split("-");
  return {
    variantId,
    settings: Object.fromEntries(Object.entries(settings).map(([name, value]) => [name, String(value)])),
    style: dose.style,
    policy: dose.policy,
    sets: text(dose.sets),
    reps: rangeText(dose.reps),
    hold: rangeText(dose.hold),
    contacts: rangeText(dose.contacts),
    minutes: text(dose.minutes),
    loadKg: text(dose.loadKg),
    effort: { low: text(dose.effort?.lowPercent), high: text(dose.effort?.highPercent) },
    bandN: text(dose.bandN),
    tempo: [down, low, up, top],
    halfway: text(dose.halfwayPauseSeconds),
    restSeconds: text(dose.restSeconds),
    daysPerWeek: text(dose.daysPerWeek),
    boutsPerDay: text(dose.boutsPerDay),
    leg: leg ?? "",
    kept: keptOf(dose),
  };
}

function keptOf({ alternateSides, bodyWeightPercent, maximumPercent }: Dose): PrescribeDraft["kept"] {
  return {
    ...(alternateSides === undefined ? {} : { alternateSides }),
    ...(bodyWeightPercent === undefined ? {} : { bodyWeightPercent }),
    ...(maximumPercent === undefined ? {} : { maximumPercent }),
  };
}

/** A dose of the style as it usually begins, in the form; the load, and what the movement is, stay. */
export function styled(draft: PrescribeDraft, style: Dose["style"]): PrescribeDraft {
  const { usual } = doseStyle(style);
  const { variantId, settings, loadKg, leg } = draft;
  return { ...draftOf({ variantId, settings: {}, dose: { style, ...usual } }), settings, loadKg, leg };
}

/** The form moved to another variant: its own settings, with the dose as it was typed. */
export const movedTo = (draft: PrescribeDraft, { id, settings, kit }: Variant): PrescribeDraft => ({
  ...draft,
  variantId: id,
  bandN: kit.includes("band") ? draft.bandN : "",
  settings: Object.fromEntries(
    Object.entries(settings).map(([name, value]) => [name, draft.settings[name] ?? String(value)]),
  ),
});

/** Styles that make sense for the contraction in the form, the present one among them. */
export function stylesFor({ settings, style }: PrescribeDraft): Dose["style"][] {
  const contraction = settings["contraction"];
  return doseStyleList
    .filter(
      ({ name, contractions }) =>
        name === style || !contractions || !contraction || contractions.includes(contraction),
    )
    .map(({ name }) => name);
}

/** What a set may be counted in, in this style. */
export const workOf = (style: Dose["style"]): readonly Work[] => doseStyle(style).work;

/** Whether an effort is asked for: of a hold alone it is a share of a maximum. */
export const asksEffort = ({ settings }: PrescribeDraft): boolean => settings["contraction"] === "isometric";

/**
 * The prescription of the form: of fields that do not belong to its style or movement nothing. What cannot be read as a number, and
 * what may not be empty, is NaN in it: see `isReadable`.
 */
export function prescriptionOf(draft: PrescribeDraft): Prescription {
  const { variantId, settings, style, policy, leg, kept } = draft;
  const { bodyWeightPercent: _share, maximumPercent: _ofMost, ...always } = kept;
  const work = workOf(style);
  const counted = <K extends Work>(key: K, value: object) => (work.includes(key) ? value : {});
  const dose: Dose = {
    style,
    policy,
    ...(typedNumber(draft.loadKg) === null ? kept : always),
    sets: typedNumber(draft.sets) ?? NaN,
    ...counted("reps", {
      ...rangeIn("reps", draft.reps),
      ...tempoOf(draft.tempo),
      ...optional("halfwayPauseSeconds", draft.halfway),
    }),
    ...counted("hold", rangeIn("hold", draft.hold)),
    ...counted("contacts", rangeIn("contacts", draft.contacts)),
    ...counted("minutes", optional("minutes", draft.minutes)),
    ...optional("loadKg", draft.loadKg),
    ...optional("bandN", draft.bandN),
    ...(asksEffort(draft) ? effortOf(draft.effort) : {}),
    restSeconds: typedNumber(draft.restSeconds) ?? NaN,
    daysPerWeek: typedNumber(draft.daysPerWeek) ?? NaN,
    ...optional("boutsPerDay", draft.boutsPerDay),
  };
  const set = Object.entries(settings).map(([name, typed]): [string, KnobValue] => {
    const isWord = knobByName(name).words !== undefined || name === "arc";
    return [name, isWord ? typed : (typedNumber(typed) ?? NaN)];
  });
  return { variantId, settings: Object.fromEntries(set), dose, ...(leg === "" ? {} : { leg }) };
}

/** Whether every number of a prescription could be read, those of its tempo too. */
export const isReadable = ({ settings, dose }: Prescription): boolean =>
  numbersIn([settings, dose]).every(Number.isFinite) && !dose.tempo?.includes("NaN");

const numbersIn = (value: unknown): number[] =>
  typeof value === "number"
    ? [value]
    : typeof value === "object" && value !== null
      ? Object.values(value).flatMap(numbersIn)
      : [];

/** One end alone is both ends. */
function rangeOf({ bottom, top }: { bottom: string; top: string }) {
  const [low, high] = [typedNumber(bottom), typedNumber(top)];
  const [from, to] = [low ?? high, high ?? low];
  return from === null || to === null ? null : { bottom: from, top: to };
}

function rangeIn(key: "reps" | "hold" | "contacts", typed: { bottom: string; top: string }): Partial<Dose> {
  const range = rangeOf(typed);
  return range ? { [key]: range } : {};
}

function optional<K extends string>(key: K, typed: string): Partial<Record<K, number>> {
  const value = typedNumber(typed);
  return (value === null ? {} : { [key]: value }) as Partial<Record<K, number>>;
}

function effortOf({ low, high }: PrescribeDraft["effort"]): Pick<Dose, "effort"> {
  const range = rangeOf({ bottom: low, top: high });
  return range ? { effort: { lowPercent: range.bottom, highPercent: range.top } } : {};
}

/** A tempo of which some parts were typed has the steady cadence's for the others. */
function tempoOf(tempo: PrescribeDraft["tempo"]): Pick<Dose, "tempo"> {
  if (tempo.every((part) => part.trim() === "")) return {};
  const steady = steadyTempo.split("-");
  return { tempo: tempo.map((part, n) => typedNumber(part) ?? steady[n]).join("-") };
}
