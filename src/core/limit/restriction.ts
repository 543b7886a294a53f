import { Type, type Static } from "@sinclair/typebox";
import { oneOf } from "~/core/schema/one-of";
import { BodyPosition, ForbidCode, Lane, Phase } from "~/core/exercise/body";
import { predicateSchemas } from "./limit";
import { KnobValue } from "~/core/exercise/prescription";

const common = {
  origin: oneOf(
    ["surgeon", "procedure", "stage", "condition", "kit", "person", "clinician", "plan"],
    "Who set the limit",
  ),
  from: Type.Optional(Type.String({ format: "date", description: "First day on which it holds" })),
  until: Type.Optional(Type.String({ format: "date", description: "Last day on which it holds" })),
  says: Type.String({ minLength: 1, maxLength: 160, description: "The limit in words" }),
};
const closed = { additionalProperties: false };
const degrees = Type.Number({ minimum: -40, maximum: 160 });

/** In a function of its own, so that a view which reads no limits does not carry it (see the build's pure functions). */
const restrictionSchema = () =>
  Type.Union([
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
      {
        ...closed,
        description:
          "Work of these lanes stays within these phases; other lanes go no further than the stage",
      },
    ),
    Type.Object({ kind: Type.Literal("forbid"), codes: Type.Array(ForbidCode), ...common }, closed),
    ...predicateSchemas(common),
  ]);

/** What a prescription may not go beyond. The surgeon's limits win over everything else. */
export const Restriction = restrictionSchema();
export type Restriction = Static<typeof Restriction>;

type Of<K extends Restriction["kind"]> = Extract<Restriction, { kind: K }>;

/** True on the days on which a restriction holds. */
export function inForce({ from, until }: Restriction, today: string): boolean {
  return (from === undefined || from <= today) && (until === undefined || today <= until);
}

/** Whether no clinician may go against a limit: it is the surgeon's, or a procedure brings it along. */
export const isBinding = ({ origin }: Pick<Restriction, "origin">): boolean =>
  origin === "surgeon" || origin === "procedure";

/** Pieces of kit that are known to be to hand. */
export const kitAtHand = (restrictions: readonly Restriction[], today: string): string[] =>
  restrictions.flatMap((r) => (r.kind === "kit" && inForce(r, today) ? r.available : []));

/** The loads to hand under the restrictions of kit that are in force. */
export function shelfUnder(restrictions: readonly Restriction[], today: string): Record<string, number[]> {
  const kit = restrictions.filter((r): r is Of<"kit"> => r.kind === "kit" && inForce(r, today));
  return Object.assign({}, ...kit.map((r) => r.shelfKg ?? {})) as Record<string, number[]>;
}
