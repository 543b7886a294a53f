import type { FieldPath } from "react-hook-form";
import type { Intake } from "~/core/intake/intake";
import { bareHome, fullGym } from "~/core/progression/kit";
import { toLimit, type LimitField } from "./limit-field";

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
