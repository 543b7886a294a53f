import type { FieldPath } from "react-hook-form";
import { causes, illnesses, medicines, type Intake } from "~/core/intake/intake";
import { irritabilities } from "~/core/intake/irritability";
import { bodyPositions } from "~/core/exercise/body";
import { bareHome, fullGym } from "~/core/exercise/kit";
import { painSchoolCodes } from "~/core/response/pain-school";
import {
  fittingFields,
  flag,
  listOf,
  oneOfThese,
  recordOf,
  shape,
  text,
  type Guard,
} from "~/islands/frame/kept-shape";
import type { Measure } from "~/core/measure/measure";
import { takenResults, type RowEntry } from "~/islands/measures/entry-draft";
import { isRow } from "~/islands/measures/kept-visit";
import { limitWhats, toLimit, type LimitField } from "./limit-field";

/** The form as typed: text for text and dates, so that half a date is kept too. */
export interface IntakeFields {
  /** Another episode of the person this one is for too; empty for a new person. */
  beside: string;
  givenName: string;
  familyName: string;
  bornOn: string;
  activity: string;
  /** Telephone or e-mail, as it is given. */
  contact: string;
  referrer: string;
  pathway: string;
  diagnosis: string;
  involvedSide: "" | Intake["involvedSide"];
  onsetOn: string;
  cause: Intake["cause"];
  surgeryOn: string;
  procedure: string;
  graft: string;
  limits: LimitField[];
  /** All red flags were asked, and none of them is so. */
  flagsAsked: boolean;
  redFlags: string[];
  /** Red flags that were ticked and are not any more, each with why. */
  unticked: { code: string; reason: string }[];
  medicines: Intake["medicines"];
  illnesses: Intake["illnesses"];
  fellLastYear: boolean;
  fearsFalling: boolean;
  normGroup: "" | "male" | "female";
  /** Codes of what was done besides the operation named. */
  also: string[];
  cannotFloor: boolean;
  history: string;
  tasks: { text: string; rating: string }[];
  targetOn: string;
  daysPerWeek: string;
  minutesPerDay: string;
  place: "home" | "gym" | "own";
  kit: string[];
  cannotPositions: Intake["cannotPositions"];
  irritability: Intake["irritability"];
  school: "" | NonNullable<Intake["school"]>;
  /** The day of the baseline and what was typed of it, by measure. */
  baselineOn: string;
  baselineRows: Record<string, RowEntry>;
  consent: boolean;
}

export const emptyIntake: IntakeFields = {
  beside: "",
  givenName: "",
  familyName: "",
  bornOn: "",
  activity: "",
  contact: "",
  referrer: "",
  pathway: "",
  diagnosis: "",
  involvedSide: "",
  onsetOn: "",
  cause: "unknown",
  surgeryOn: "",
  procedure: "",
  graft: "",
  limits: [],
  flagsAsked: false,
  redFlags: [],
  unticked: [],
  medicines: [],
  illnesses: [],
  fellLastYear: false,
  fearsFalling: false,
  normGroup: "",
  also: [],
  cannotFloor: false,
  history: "",
  tasks: [{ text: "", rating: "" }],
  targetOn: "",
  daysPerWeek: "3",
  minutesPerDay: "30",
  place: "home",
  kit: [],
  cannotPositions: [],
  irritability: "moderate",
  school: "",
  baselineOn: "",
  baselineRows: {},
  consent: false,
};

const words = listOf(text);
const guards: { readonly [K in keyof IntakeFields]: Guard<IntakeFields[K]> } = {
  beside: text,
  givenName: text,
  familyName: text,
  bornOn: text,
  activity: text,
  contact: text,
  referrer: text,
  pathway: text,
  diagnosis: text,
  involvedSide: oneOfThese("", "left", "right", "both"),
  onsetOn: text,
  cause: oneOfThese(...causes),
  surgeryOn: text,
  procedure: text,
  graft: text,
  limits: listOf(
    shape<LimitField>({
      what: oneOfThese(...limitWhats),
      degrees: text,
      says: text,
      from: text,
      until: text,
    }),
  ),
  flagsAsked: flag,
  redFlags: words,
  unticked: listOf(shape<IntakeFields["unticked"][number]>({ code: text, reason: text })),
  medicines: listOf(oneOfThese(...medicines)),
  illnesses: listOf(oneOfThese(...illnesses)),
  fellLastYear: flag,
  fearsFalling: flag,
  normGroup: oneOfThese("", "male", "female"),
  also: words,
  cannotFloor: flag,
  history: text,
  tasks: listOf(shape<IntakeFields["tasks"][number]>({ text, rating: text })),
  targetOn: text,
  daysPerWeek: text,
  minutesPerDay: text,
  place: oneOfThese("home", "gym", "own"),
  kit: words,
  cannotPositions: listOf(oneOfThese(...bodyPositions)),
  irritability: oneOfThese(...irritabilities),
  school: oneOfThese("", ...painSchoolCodes),
  baselineOn: text,
  baselineRows: recordOf(isRow),
  consent: flag,
};

/** A kept form brought back: every field of it that still is what this version asks for, the others empty. */
export function resumedIntake(kept: unknown): IntakeFields {
  return { ...emptyIntake, ...fittingFields(guards, kept) };
}

/**
 * The form as the endpoint reads it; what is wrong with it the endpoint says, field by field.
 *
 * @param measures those of the baseline, by code
 */
export function toIntake(fields: IntakeFields, measures: ReadonlyMap<string, Measure> = new Map()): Intake {
  const {
    beside,
    givenName,
    familyName,
    bornOn,
    activity,
    contact,
    referrer,
    flagsAsked,
    surgeryOn,
    procedure,
    graft,
    limits,
    cannotFloor,
    history,
    tasks,
    targetOn,
    place,
    kit,
    school,
    daysPerWeek,
    minutesPerDay,
    involvedSide,
    unticked,
    normGroup,
    also,
    baselineOn,
    baselineRows,
    ...rest
  } = fields;
  const takenBack = unticked.filter(({ reason }) => reason.trim()) as NonNullable<Intake["unticked"]>;
  const results = takenResults({ codes: Object.keys(baselineRows), rows: baselineRows }, measures);
  const operated = surgeryOn !== "" || procedure !== "";
  const atHand = { home: bareHome, gym: fullGym, own: [...bareHome, ...kit] }[place];
  return {
    ...rest,
    person: {
      givenName,
      familyName,
      bornOn,
      activity,
      ...(normGroup ? { normGroup } : {}),
      ...(contact.trim() ? { contact: contact.trim() } : {}),
    },
    ...(referrer.trim() ? { referrer: referrer.trim() } : {}),
    ...(flagsAsked ? { flagsAsked } : {}),
    involvedSide: involvedSide as Intake["involvedSide"],
    ...(operated
      ? {
          surgery: {
            on: surgeryOn,
            procedure,
            ...(graft ? { graft } : {}),
            ...(also.length > 0 ? { also } : {}),
          },
        }
      : {}),
    limits: limits.map(toLimit),
    ...(takenBack.length > 0 ? { unticked: takenBack } : {}),
    reachesFloor: !cannotFloor,
    ...(history.trim() ? { history } : {}),
    tasks: tasks
      .filter(({ text }) => text.trim())
      .map(({ text, rating }) => ({ text, rating: Number(rating) })),
    ...(targetOn ? { targetOn } : {}),
    ...(results.length > 0 ? { baseline: { takenOn: baselineOn, results } } : {}),
    daysPerWeek: Number(daysPerWeek),
    minutesPerDay: Number(minutesPerDay),
    kit: [...new Set(atHand)],
    ...(school ? { school } : {}),
  };
}

const renamed: Readonly<Record<string, FieldPath<IntakeFields>>> = {
  surgery: "surgeryOn",
  "surgery.on": "surgeryOn",
  "surgery.procedure": "procedure",
  "surgery.graft": "graft",
  "baseline.takenOn": "baselineOn",
};

/** The field of the form that a path of the endpoint's answer is about. */
export function fieldOf(path: string): FieldPath<IntakeFields> {
  const name = path
    .split("/")
    .filter((part) => part && part !== "intake" && part !== "person")
    .join(".")
    .replace(/mostDeg$/, "degrees");
  return renamed[name] ?? (name as FieldPath<IntakeFields>);
}
