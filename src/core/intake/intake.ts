import { irritabilities } from "./irritability";
import { stopSignalCodes } from "./stop-signal";
import { Type, type Static } from "@sinclair/typebox";
import { oneOf } from "~/core/schema/one-of";
import type { FieldProblem } from "~/core/schema/field-problem";
import type { Measure } from "~/core/measure/measure";
import { InvolvedSide } from "~/core/measure/side-value";
import { takenOnProblems, takenProblems } from "~/core/measure/taken-problems";
import { TakenResult } from "~/core/measure/taken-result";
import type { Pathway } from "~/core/pathway/pathway";
import { BodyPosition } from "~/core/exercise/body";
import { Shelf, shelfProblems } from "~/core/exercise/shelf";
import { kitByCode } from "~/core/exercise/kit";
import { Restriction } from "~/core/limit/restriction";
import { restrictionProblems } from "~/core/limit/restriction-problems";
import { PainSchoolCode } from "~/core/response/pain-school";

const closed = { additionalProperties: false };
const date = Type.String({ format: "date" });
const words = (maxLength: number) => Type.String({ minLength: 1, maxLength, pattern: "\\S" });

export const causes = ["weakness", "sudden-load", "technique", "return-too-soon", "unknown"] as const;
export const medicines = ["blood-thinner", "steroid", "quinolone"] as const;
export const illnesses = [
  "diabetes",
  "heart",
  "lung",
  "osteoporosis",
  "inflammatory",
  "pregnancy",
  "low-energy-intake",
  "nerve-loss",
] as const;

/** What a plan must fit into: time, kit, positions, the surgeon's limits. */
export const Circumstances = Type.Object(
  {
    limits: Type.Array(Restriction, { maxItems: 20 }),
    reachesFloor: Type.Boolean(),
    daysPerWeek: Type.Integer({ minimum: 1, maximum: 7 }),
    minutesPerDay: Type.Integer({ minimum: 5, maximum: 180 }),
    kit: Type.Array(words(40), { maxItems: 60 }),
    /** The weights that are to hand where the plan is done; kit that is left out has its usual ones. */
    shelfKg: Type.Optional(Shelf),
    cannotPositions: Type.Array(BodyPosition, { maxItems: 7 }),
  },
  closed,
);
export type Circumstances = Static<typeof Circumstances>;

/** What is asked before the first exercise, in the order of the work. */
export const Intake = Type.Object(
  {
    person: Type.Object(
      {
        givenName: words(80),
        familyName: words(80),
        bornOn: date,
        activity: words(120),
        /** Which group of a norm's table to compare with; asked where a norm has groups. */
        normGroup: Type.Optional(oneOf(["male", "female"])),
        /** Telephone or e-mail, as it is given. */
        contact: Type.Optional(words(200)),
      },
      closed,
    ),
    /** Who sent this person, as a letter addresses them. */
    referrer: Type.Optional(words(160)),
    pathway: words(60),
    diagnosis: words(160),
    involvedSide: InvolvedSide,
    onsetOn: date,
    cause: oneOf(causes),
    surgery: Type.Optional(
      Type.Object(
        {
          on: date,
          procedure: words(60),
          graft: Type.Optional(words(40)),
          /** Codes of what was done besides. */
          also: Type.Optional(Type.Array(words(60), { maxItems: 7 })),
        },
        closed,
      ),
    ),
    redFlags: Type.Array(words(40), { maxItems: 40 }),
    /** Every red flag was asked, and none of them is so. */
    flagsAsked: Type.Optional(Type.Boolean()),
    /** Red flags that were ticked and are not any more, each with why. */
    unticked: Type.Optional(
      Type.Array(Type.Object({ code: oneOf(stopSignalCodes), reason: words(400) }, closed), { maxItems: 40 }),
    ),
    medicines: Type.Array(oneOf(medicines), { maxItems: 10 }),
    illnesses: Type.Array(oneOf(illnesses), { maxItems: 10 }),
    fellLastYear: Type.Boolean(),
    fearsFalling: Type.Optional(Type.Boolean()),
    history: Type.Optional(Type.String({ maxLength: 1000 })),
    tasks: Type.Array(
      Type.Object({ text: words(120), rating: Type.Integer({ minimum: 0, maximum: 10 }) }, closed),
      { maxItems: 3 },
    ),
    targetOn: Type.Optional(date),
    /** What was measured at the first visit; the gates passed over in placing read it. */
    baseline: Type.Optional(
      Type.Object({ takenOn: date, results: Type.Array(TakenResult, { minItems: 1, maxItems: 60 }) }, closed),
    ),
    ...Circumstances.properties,
    irritability: oneOf(irritabilities),
    school: Type.Optional(PainSchoolCode),
    consent: Type.Boolean(),
  },
  closed,
);
export type Intake = Static<typeof Intake>;

/**
 * What is wrong with an intake beyond its schema, by field: dates that cannot be, a graft that does not go with the
 * procedure, limits that end before they start, a target in the past, no consent.
 *
 * @param pathway the pathway it names, or null when there is none of that code
 * @param today local date of the clinic
 */
export function intakeProblems(intake: Intake, pathway: Pathway | null, today: string): FieldProblem[] {
  const { person, onsetOn, surgery, targetOn, consent } = intake;
  const when = (wrong: boolean, path: string, problem: string) => (wrong ? [{ path, problem }] : []);
  if (!pathway) return [{ path: "/pathway", problem: "is not a pathway of this clinic" }];
  const { procedures = [], grafts = [] } = pathway;
  return [
    ...when(person.bornOn >= today, "/person/bornOn", "lies in the future"),
    ...when(onsetOn > today, "/onsetOn", "lies in the future"),
    ...when(onsetOn <= person.bornOn, "/onsetOn", "lies before this person was born"),
    ...when(!consent, "/consent", "is needed before anything is kept"),
    ...when(targetOn !== undefined && targetOn <= today, "/targetOn", "lies in the past"),
    ...when(surgery !== undefined && surgery.on < onsetOn, "/surgery/on", "lies before the injury"),
    ...when(
      surgery !== undefined && surgery.on > today && !hasStageBefore(pathway),
      "/surgery/on",
      "lies in the future",
    ),
    ...when(surgery !== undefined && procedures.length === 0, "/surgery", "does not go with this pathway"),
    ...when(
      surgery === undefined && procedures.length > 0 && !hasStageBefore(pathway),
      "/surgery",
      "is missing: this pathway follows an operation",
    ),
    ...when(
      surgery !== undefined && procedures.length > 0 && !procedures.includes(surgery.procedure),
      "/surgery/procedure",
      `must be one of: ${procedures.join(", ")}`,
    ),
    ...when(
      surgery?.graft !== undefined && !grafts.includes(surgery.graft),
      "/surgery/graft",
      grafts.length === 0 ? "does not go with this procedure" : `must be one of: ${grafts.join(", ")}`,
    ),
    ...when(
      surgery !== undefined && grafts.length > 0 && surgery.graft === undefined,
      "/surgery/graft",
      "is missing: the weeks depend on it",
    ),
    ...circumstanceProblems(intake),
  ];
}

/**
 * What is wrong with a baseline: a day or values that cannot be.
 *
 * @param measures those that can be taken, by code
 * @param today local date of the clinic
 */
export function baselineProblems(
  { baseline, onsetOn, person }: Pick<Intake, "baseline" | "onsetOn" | "person">,
  measures: ReadonlyMap<string, Measure>,
  today: string,
): FieldProblem[] {
  if (!baseline) return [];
  const { bornOn } = person;
  return [
    ...takenOnProblems(baseline, { today, bornOn, onsetOn }, "/baseline/takenOn"),
    ...takenProblems(baseline.results, measures, "/baseline/results"),
  ];
}

/** Limits that cannot be judged, and kit nobody has, by field. */
export function circumstanceProblems({
  limits,
  kit,
  shelfKg = {},
}: Pick<Circumstances, "limits" | "kit" | "shelfKg">): FieldProblem[] {
  return [
    ...shelfProblems(shelfKg, "/shelfKg"),
    ...restrictionProblems(limits, "/limits"),
    ...kit.flatMap((piece, i) =>
      kitByCode(piece) ? [] : [{ path: `/kit/${i}`, problem: `${piece} is not a piece of kit` }],
    ),
  ];
}

function hasStageBefore({ stages }: Pathway): boolean {
  return stages.some((stage) => stage.beforeSurgery);
}

/** Limits that follow from who the person is: kit at hand and positions they cannot take. */
export function personalLimits({
  kit,
  cannotPositions,
  reachesFloor,
  shelfKg,
}: Pick<Circumstances, "kit" | "cannotPositions" | "reachesFloor" | "shelfKg">): Restriction[] {
  const floor = reachesFloor
    ? []
    : (["supine", "prone", "side-lying", "kneeling", "hands-and-knees"] as const);
  const cannot = [...new Set([...cannotPositions, ...floor])];
  return [
    {
      kind: "kit",
      available: kit,
      ...(shelfKg === undefined ? {} : { shelfKg }),
      origin: "kit",
      says: "not among the kit at hand",
    },
    ...(cannot.length > 0
      ? [
          {
            kind: "position" as const,
            cannot,
            origin: "person" as const,
            says: `cannot take: ${cannot.join(", ")}`,
          },
        ]
      : []),
  ];
}
