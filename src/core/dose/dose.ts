import { Type, type Static } from "@sinclair/typebox";
import { oneOf } from "~/core/schema/one-of";

/** How a dose is built (common practice). Each style has a usual shape; the policy decides how it steps. */
export const doseStyles = [
  "activation",
  "isometric-clinic",
  "isometric-tendon",
  "squeeze",
  "control",
  "strength",
  "strength-hypertrophy",
  "heavy-slow",
  "endurance",
  "form-failure",
  "pre-field",
  "circuit",
  "plyometric",
  "balance",
  "stretch",
  "running",
] as const;

/** What a step up turns, how hard it may feel, and how long a change must settle: see dose-policy.ts. */
export const dosePolicies = [
  "double-progression",
  "effort-band",
  "hold",
  "scheduled",
  "form-failure",
  "contacts",
  "running",
  "fixed",
] as const;

/** A range worked through from bottom to top; bottom ≤ top is checked where a dose is accepted. */
export const WorkRange = Type.Object(
  {
    bottom: Type.Number({ minimum: 1, maximum: 1000 }),
    top: Type.Number({ minimum: 1, maximum: 1000 }),
  },
  { additionalProperties: false, description: "Lower and upper end of the work aimed at in one set." },
);

/** An effort band in per cent of the maximal voluntary effort. */
export const EffortBand = Type.Object(
  {
    lowPercent: Type.Number({ exclusiveMinimum: 0, maximum: 100 }),
    highPercent: Type.Number({ exclusiveMinimum: 0, maximum: 100 }),
  },
  { additionalProperties: false },
);

/** Seconds down, pause, up, pause of one repetition, such as 3-1-1-0. */
export const Tempo = Type.String({
  pattern: "^\\d{1,2}(\\.\\d)?(-\\d{1,2}(\\.\\d)?){3}$",
  description: "Seconds down-pause-up-pause of one repetition",
});

/**
 * A dose: what is done with a variant in one session and how often.
 * At least one of `reps`, `hold`, `contacts`, `minutes` says what one set is.
 * `reps` with `hold` means that every repetition is held; `hold` alone means one hold a set.
 */
export const Dose = Type.Object(
  {
    style: oneOf(doseStyles),
    policy: oneOf(dosePolicies),
    sets: Type.Integer({ minimum: 1, maximum: 20 }),
    reps: Type.Optional(WorkRange),
    hold: Type.Optional(WorkRange),
    contacts: Type.Optional(WorkRange),
    minutes: Type.Optional(Type.Number({ exclusiveMinimum: 0, maximum: 180 })),
    effort: Type.Optional(EffortBand),
    loadKg: Type.Optional(Type.Number({ minimum: 0, maximum: 500 })),
    /** Load wanted as a share of body weight or of the one-repetition maximum, until somebody fixes the kilograms. */
    bodyWeightPercent: Type.Optional(Type.Number({ exclusiveMinimum: 0, maximum: 300 })),
    maximumPercent: Type.Optional(Type.Number({ exclusiveMinimum: 0, maximum: 100 })),
    /** Pull of the band at the stretch used, newtons, as the clinic measured it. */
    bandN: Type.Optional(Type.Number({ exclusiveMinimum: 0, maximum: 600 })),
    tempo: Type.Optional(Tempo),
    /** A pause half-way up in every repetition, seconds, beside the two of the tempo. */
    halfwayPauseSeconds: Type.Optional(Type.Number({ exclusiveMinimum: 0, maximum: 10 })),
    /** For work on each side: one leg rests while the other works. Left out: yes. */
    alternateSides: Type.Optional(Type.Boolean()),
    restSeconds: Type.Integer({ minimum: 0, maximum: 900 }),
    daysPerWeek: Type.Integer({ minimum: 1, maximum: 7 }),
    /** How often a day all of it is done, as stretches are; once where left out. */
    boutsPerDay: Type.Optional(Type.Integer({ minimum: 1, maximum: 10 })),
  },
  { additionalProperties: false, description: "Sets, work in a set, effort or load, rest and days a week." },
);

export type Dose = Static<typeof Dose>;
export type DosePolicyName = Dose["policy"];
export type WorkRange = Static<typeof WorkRange>;
export type EffortBand = Static<typeof EffortBand>;
