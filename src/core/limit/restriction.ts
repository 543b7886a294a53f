import { Type, type Static } from "@sinclair/typebox";
import { oneOf } from "~/core/schema/one-of";
import { BodyPosition, ForbidCode, Lane, Phase } from "~/core/exercise/body";
import type { Exercise, Variant } from "~/core/exercise/exercise";
import { jointArc } from "./joint-arc";
import { findKnob } from "~/core/exercise/knob";
import { KnobValue, type Prescription } from "~/core/exercise/prescription";

const common = {
  origin: oneOf(["surgeon", "stage", "kit", "person", "clinician"], "Who set the limit"),
  from: Type.Optional(Type.String({ format: "date", description: "First day on which it holds" })),
  until: Type.Optional(Type.String({ format: "date", description: "Last day on which it holds" })),
  says: Type.String({ minLength: 1, maxLength: 160, description: "The limit in words" }),
};
const closed = { additionalProperties: false };
const degrees = Type.Number({ minimum: -40, maximum: 160 });

/** What a prescription may not go beyond. The surgeon's limits win over everything else. */
export const Restriction = Type.Union([
  Type.Object(
    { kind: Type.Literal("knob-limit"), knob: Type.String(), hardest: KnobValue, ...common },
    closed,
  ),
  Type.Object(
    {
      kind: Type.Literal("range-limit"),
      joint: oneOf(["knee", "hip"]),
      leastDeg: Type.Optional(degrees),
      mostDeg: Type.Optional(degrees),
      ...common,
    },
    { ...closed, description: "Flexion of a joint stays between these angles" },
  ),
  Type.Object(
    {
      kind: Type.Literal("kit"),
      available: Type.Array(Type.String()),
      shelfKg: Type.Optional(Type.Record(Type.String(), Type.Array(Type.Number({ exclusiveMinimum: 0 })))),
      ...common,
    },
    closed,
  ),
  Type.Object({ kind: Type.Literal("position"), cannot: Type.Array(BodyPosition), ...common }, closed),
  Type.Object({ kind: Type.Literal("variants"), allowed: Type.Array(Type.String()), ...common }, closed),
  Type.Object(
    {
      kind: Type.Literal("bearing"),
      most: oneOf(["none", "two-legs", "one-leg"], "What the involved leg may carry"),
      ...common,
    },
    closed,
  ),
  Type.Object(
    { kind: Type.Literal("note"), ...common },
    { ...closed, description: "Brace, crutches, wound: shown beside the plan, judged by people" },
  ),
  Type.Object(
    {
      kind: Type.Literal("phases"),
      lanes: Type.Array(Type.Object({ lane: Lane, phases: Type.Array(Phase) }, closed)),
      ...common,
    },
    { ...closed, description: "Work of these lanes stays within these phases" },
  ),
  Type.Object({ kind: Type.Literal("forbid"), codes: Type.Array(ForbidCode), ...common }, closed),
]);
export type Restriction = Static<typeof Restriction>;

interface Subject {
  readonly prescription: Prescription;
  readonly variant: Variant;
  readonly exercise: Exercise;
}
type Of<K extends Restriction["kind"]> = Extract<Restriction, { kind: K }>;
type Checks = { [K in Restriction["kind"]]: (restriction: Of<K>, subject: Subject) => boolean };

const bearings = ["none", "two-legs", "one-leg", "impact"] as const;

/** What a variant asks the leg to carry: nothing lying and sitting, both legs or one in standing, a landing in springs. */
function bearingOf({ position, settings }: Variant): (typeof bearings)[number] {
  if (settings["contraction"] === "plyometric") return "impact";
  if (position !== "standing") return "none";
  return settings["laterality"] === "single" || settings["laterality"] === "both-up-one-down"
    ? "one-leg"
    : "two-legs";
}

/** Whether each kind of restriction is broken. */
const broken: Checks = {
  "knob-limit": ({ knob: name, hardest }, { prescription }) => {
    const knob = findKnob(name);
    // A limit that nobody can judge bars: what it means is for a person to say.
    if (!knob?.accepts(hardest)) return true;
    const value = knob.read(prescription);
    return value !== undefined && knob.rank(value) > knob.rank(hardest);
  },
  "range-limit": ({ joint, leastDeg = -Infinity, mostDeg = Infinity }, { prescription, variant }) => {
    const arc = jointArc(joint, prescription, variant);
    return arc !== null && (arc[0] < leastDeg || arc[1] > mostDeg);
  },
  kit: ({ available, shelfKg = {} }, { prescription, variant }) => {
    const loadKg = prescription.dose.loadKg ?? 0;
    const load = variant.turns.find((turn) => turn.knob === "load");
    const loadKit = load && "kit" in load && loadKg > 0 ? load.kit : undefined;
    const heaviest = loadKit === undefined ? undefined : shelfKg[loadKit]?.at(-1);
    const pieces = [...variant.kit, ...(loadKit === undefined ? [] : [loadKit])];
    return pieces.some((piece) => !available.includes(piece)) || (heaviest ?? Infinity) < loadKg;
  },
  position: ({ cannot }, { variant }) => cannot.includes(variant.position),
  variants: ({ allowed }, { prescription }) => !allowed.includes(prescription.variantId),
  bearing: ({ most }, { variant }) => bearings.indexOf(bearingOf(variant)) > bearings.indexOf(most),
  note: () => false,
  phases: ({ lanes }, { variant: { phase }, exercise }) => {
    const entry = lanes.find(({ lane }) => lane === exercise.lane);
    return entry !== undefined && phase !== undefined && !entry.phases.includes(phase);
  },
  forbid: ({ codes }, { exercise }) => codes.some((code) => exercise.forbiddenBy?.includes(code)),
};

/**
 * The first restriction that a prescription would break on `today`, or null when none is broken.
 *
 * @param today local date (YYYY-MM-DD); a restriction holds from its `from` up to and including its `until`
 */
export function obstacle(
  prescription: Prescription,
  variant: Variant,
  exercise: Exercise,
  restrictions: readonly Restriction[],
  today: string,
): Restriction | null {
  const surgeonFirst = restrictions
    .filter((r) => inForce(r, today))
    .sort((a, b) => Number(b.origin === "surgeon") - Number(a.origin === "surgeon"));
  const subject = { prescription, variant, exercise };
  return surgeonFirst.find((r) => broken[r.kind](r as never, subject)) ?? null;
}

/** True on the days on which a restriction holds. */
export function inForce({ from, until }: Restriction, today: string): boolean {
  return (from === undefined || from <= today) && (until === undefined || today <= until);
}

/** The loads to hand under the restrictions of kit that are in force. */
export function shelfUnder(restrictions: readonly Restriction[], today: string): Record<string, number[]> {
  const kit = restrictions.filter((r): r is Of<"kit"> => r.kind === "kit" && inForce(r, today));
  return Object.assign({}, ...kit.map((r) => r.shelfKg ?? {})) as Record<string, number[]>;
}
