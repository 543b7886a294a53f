import { Type, type Static } from "@sinclair/typebox";

const closed = { additionalProperties: false };
const date = Type.String({ format: "date" });
const name = Type.String({ minLength: 1, maxLength: 80 });
const names = (maxItems: number) => Type.Array(name, { maxItems });

/** A day of the week: how long, where with what, and what else is on. */
export const WeekDay = Type.Object(
  {
    date,
    minutes: Type.Integer({ minimum: 0, maximum: 1440 }),
    places: Type.Array(Type.Object({ place: name, kit: names(200) }, closed), { maxItems: 20 }),
    match: Type.Optional(Type.Boolean()),
    sprint: Type.Optional(Type.Boolean()),
    /** There is a training: only light work goes before it. It forbids nothing. */
    training: Type.Optional(Type.Boolean()),
    favourite: Type.Optional(Type.Boolean()),
    /** Nothing heavy for the legs and no springs: a joint was swollen. */
    spared: Type.Optional(Type.Boolean()),
  },
  closed,
);
export type WeekDay = Static<typeof WeekDay>;

/** In this order they stand on a day. */
export const phases = [
  "activation",
  "control",
  "spring",
  "heavy",
  "isolation",
  "endurance",
  "stretch",
] as const;

/** An exercise to be laid into the week, as the planner needs to know it. */
export const WeekItem = Type.Object(
  {
    id: name,
    minutes: Type.Number({ exclusiveMinimum: 0, maximum: 240 }),
    minDays: Type.Integer({ minimum: 0, maximum: 7 }),
    maxDays: Type.Integer({ minimum: 1, maximum: 7 }),
    lanes: names(30),
    place: Type.Optional(name),
    kit: names(60),
    heavyLegs: Type.Optional(Type.Boolean()),
    /** Muscles that it loads so heavily that they rest the day after. */
    heavyMuscles: Type.Optional(names(20)),
    /** It is stopped: nothing of it is laid anywhere. */
    suspended: Type.Optional(Type.Boolean()),
    spring: Type.Optional(
      Type.Object({ contacts: Type.Integer({ minimum: 1 }), advanced: Type.Boolean() }, closed),
    ),
    lengthensHamstring: Type.Optional(Type.Boolean()),
    phase: Type.Optional(Type.Union(phases.map((phase) => Type.Literal(phase)))),
  },
  closed,
);
export type WeekItem = Static<typeof WeekItem>;

export const Placed = Type.Object({ item: name, date }, closed);
export type Placed = Static<typeof Placed>;
export const Lock = Type.Object({ item: name, date, on: Type.Boolean() }, closed);
export type Lock = Static<typeof Lock>;

const dates = Type.Array(date, { maxItems: 60 });

/** What both the judge and the planner are told of a week. */
export const weekFields = {
  days: Type.Array(WeekDay, { minItems: 7, maxItems: 7 }),
  items: Type.Array(WeekItem, { maxItems: 60 }),
  stageLanes: names(60),
  done: Type.Optional(Type.Array(Placed, { maxItems: 420 })),
  locks: Type.Optional(Type.Array(Lock, { maxItems: 840 })),
  previous: Type.Optional(
    Type.Array(Type.Object({ item: name, weekday: Type.Integer({ minimum: 1, maximum: 7 }) }, closed), {
      maxItems: 420,
    }),
  ),
  contactCap: Type.Optional(Type.Integer({ minimum: 0 })),
  weekContactCap: Type.Optional(Type.Integer({ minimum: 0 })),
  heldOver: Type.Optional(
    Type.Object(
      {
        springDates: dates,
        advancedSpringDates: Type.Optional(dates),
        sprintDates: dates,
        matchDates: dates,
        heavyDates: Type.Optional(
          Type.Array(Type.Object({ date, muscles: names(20) }, closed), { maxItems: 60 }),
        ),
      },
      closed,
    ),
  ),
} as const;

export const WeekQuestion = Type.Object(weekFields, closed);
export type WeekQuestion = Static<typeof WeekQuestion>;

/** Contacts of one day that are usual at most. */
export const usualContactCap = 100;
