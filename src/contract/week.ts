import { Type, type Static } from "@sinclair/typebox";
import { dayPlaces } from "~/core/week/day-places";
import { PlanWeekOutput } from "~/core/week/plan-week";
import { Lock, Placed, WeekDay, WeekQuestion } from "~/core/week/week";
import { Lane } from "~/core/exercise/body";
import { KnobValue, Prescription } from "~/core/exercise/prescription";
import { LoadBody } from "./load-body";
import { endpoint, usualLimit } from "./endpoint";
import { closed, code, date, HeightM, instant, LimitLine, orNull, PersonName, uuid, written } from "./fields";
import { InvolvedSide } from "~/core/measure/side-value";
import { recordingRoles } from "./roles";

const Where = Type.Union(dayPlaces.map((place) => Type.Literal(place)));

/** A day as somebody sets it: how long, where (at home where nothing is said), what else is on. Kit comes with the person, what is spared with the record. */
export const WeekDayBody = Type.Object(
  { ...Type.Omit(WeekDay, ["places", "spared"]).properties, where: Type.Optional(Where) },
  closed,
);
export type WeekDayBody = Static<typeof WeekDayBody>;

const sevenDays = Type.Array(WeekDayBody, { minItems: 7, maxItems: 7 });
const Locks = Type.Array(Lock, { maxItems: 840 });
const AllPlaced = Type.Array(Placed, { maxItems: 420 });

/** An exercise of the plan as the week shows it; in the question its id is the item's. */
export const WeekPiece = Type.Object(
  {
    itemId: uuid,
    name: Type.String(),
    variantName: Type.String(),
    lane: Lane,
    exerciseId: code,
    drawnLike: Type.Union([Type.String(), Type.Null()]),
    prescription: Prescription,
    maximumN: Type.Union([Type.Number(), Type.Null()]),
  },
  closed,
);
export type WeekPiece = Static<typeof WeekPiece>;

/** What a week is expected to bring: limits that begin or end by their calendar, steps that schedules may take at the earliest. */
export const WeekAhead = Type.Object(
  {
    startsOn: date,
    begins: Type.Array(LimitLine),
    ends: Type.Array(LimitLine),
    steps: Type.Array(
      Type.Object(
        {
          itemId: uuid,
          on: date,
          knob: orNull(Type.String()),
          from: orNull(KnobValue),
          to: orNull(KnobValue),
          variantName: orNull(Type.String()),
          stoppedBy: orNull(Type.String()),
        },
        closed,
      ),
    ),
  },
  closed,
);
export type WeekAhead = Static<typeof WeekAhead>;

/** A week of a patient: what is asked of the planner, and how it is laid out. */
export const WeekView = Type.Object(
  {
    episodeId: uuid,
    person: PersonName,
    involvedSide: InvolvedSide,
    heightM: HeightM,
    /** Whose loads are worked out. */
    body: LoadBody,
    today: date,
    startsOn: date,
    question: WeekQuestion,
    /** What there is to work with at each place. */
    places: Type.Array(Type.Object({ place: Where, kit: Type.Array(Type.String()) }, closed)),
    pieces: Type.Array(WeekPiece),
    placed: AllPlaced,
    /** Proven to be the best; null for a week that somebody laid out. */
    optimal: orNull(Type.Boolean()),
    kept: orNull(Type.Object({ at: instant, by: Type.String() }, closed)),
    /** This week and the three after it. */
    ahead: Type.Array(WeekAhead),
    zone: Type.String(),
    mayKeep: Type.Boolean(),
  },
  closed,
);
export type WeekView = Static<typeof WeekView>;

export const WeekSolutionBody = Type.Object({ startsOn: date, days: sevenDays, locks: Locks }, closed);
export type WeekSolutionBody = Static<typeof WeekSolutionBody>;

export const WeekBody = Type.Object(
  { id: uuid, startsOn: date, days: sevenDays, locks: Locks, placed: AllPlaced },
  closed,
);
export type WeekBody = Static<typeof WeekBody>;

export const WeekWritten = Type.Object({ ...written, week: WeekView }, closed);
export type WeekWritten = Static<typeof WeekWritten>;

export const readWeek = endpoint({
  name: "readWeek",
  says: "A week of a patient as it is laid out, or as the planner proposes it",
  roles: "signed-in",
  query: Type.Object({ from: Type.Optional(date) }, closed),
  answer: WeekView,
});

export const solveWeek = endpoint({
  name: "solveWeek",
  says: "Plan the rest of a week around what is locked; nothing is stored",
  roles: "signed-in",
  body: WeekSolutionBody,
  limit: usualLimit,
  answer: PlanWeekOutput,
});

export const keepWeek = endpoint({
  name: "keepWeek",
  says: "Keep a week as it is laid out",
  roles: recordingRoles,
  body: WeekBody,
  limit: usualLimit,
  answer: WeekWritten,
  status: 201,
});
