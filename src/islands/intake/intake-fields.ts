import type { FieldPath } from "react-hook-form";
import type { Intake } from "~/core/intake/intake";
import { bareHome, fullGym } from "~/core/progression/kit";
import type { Restriction } from "~/core/progression/restriction";

/** A line of the surgeon's timeline as typed. */
export interface LimitField {
  readonly what: "knee" | "hip" | "bearing-none" | "bearing-two-legs" | "impact" | "note";
  readonly degrees: string;
  readonly says: string;
  readonly from: string;
  readonly until: string;
}

/** The form as typed: text for text and dates, so that half a date is kept too. */
export interface IntakeFields {
  /** Another episode of the person this one is for too; empty for a new person. */
  beside: string;
  givenName: string;
  familyName: string;
  bornOn: string;
  activity: string;
  pathway: string;
  diagnosis: string;
  involvedSide: "" | Intake["involvedSide"];
  onsetOn: string;
  cause: Intake["cause"];
  surgeryOn: string;
  procedure: string;
  graft: string;
  limits: LimitField[];
  redFlags: string[];
  medicines: Intake["medicines"];
  illnesses: Intake["illnesses"];
  fellLastYear: boolean;
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
  consent: boolean;
}

export const emptyIntake: IntakeFields = {
  beside: "",
  givenName: "",
  familyName: "",
  bornOn: "",
  activity: "",
  pathway: "",
  diagnosis: "",
  involvedSide: "",
  onsetOn: "",
  cause: "unknown",
  surgeryOn: "",
  procedure: "",
  graft: "",
  limits: [],
  redFlags: [],
  medicines: [],
  illnesses: [],
  fellLastYear: false,
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
  consent: false,
};

/** The form as the endpoint reads it; what is wrong with it the endpoint says, field by field. */
export function toIntake(fields: IntakeFields): Intake {
  const {
    beside,
    givenName,
    familyName,
    bornOn,
    activity,
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
    ...rest
  } = fields;
  const operated = surgeryOn !== "" || procedure !== "";
  const atHand = { home: bareHome, gym: fullGym, own: [...bareHome, ...kit] }[place];
  return {
    ...rest,
    person: { givenName, familyName, bornOn, activity },
    involvedSide: involvedSide as Intake["involvedSide"],
    ...(operated ? { surgery: { on: surgeryOn, procedure, ...(graft ? { graft } : {}) } } : {}),
    limits: limits.map(toLimit),
    reachesFloor: !cannotFloor,
    ...(history.trim() ? { history } : {}),
    tasks: tasks
      .filter(({ text }) => text.trim())
      .map(({ text, rating }) => ({ text, rating: Number(rating) })),
    ...(targetOn ? { targetOn } : {}),
    daysPerWeek: Number(daysPerWeek),
    minutesPerDay: Number(minutesPerDay),
    kit: [...new Set(atHand)],
    ...(school ? { school } : {}),
  };
}

function toLimit({ what, degrees, says, from, until }: LimitField): Restriction {
  const common = {
    origin: "surgeon" as const,
    says: says.trim() || usualWords(what, degrees),
    ...(from ? { from } : {}),
    ...(until ? { until } : {}),
  };
  switch (what) {
    case "knee":
    case "hip":
      return { kind: "range-limit", joint: what, mostDeg: Number(degrees), ...common };
    case "bearing-none":
      return { kind: "bearing", most: "none", ...common };
    case "bearing-two-legs":
      return { kind: "bearing", most: "two-legs", ...common };
    case "impact":
      return { kind: "forbid", codes: ["impact"], ...common };
    case "note":
      return { kind: "note", ...common };
  }
}

function usualWords(what: LimitField["what"], degrees: string): string {
  const words: Record<LimitField["what"], string> = {
    knee: `knee bend to ${degrees}°`,
    hip: `hip bend to ${degrees}°`,
    "bearing-none": "no weight on the leg",
    "bearing-two-legs": "weight on both legs only",
    impact: "no running or jumping",
    note: "as the surgeon wrote",
  };
  return words[what];
}

const renamed: Readonly<Record<string, FieldPath<IntakeFields>>> = {
  surgery: "surgeryOn",
  "surgery.on": "surgeryOn",
  "surgery.procedure": "procedure",
  "surgery.graft": "graft",
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
