import { Type, type Static } from "@sinclair/typebox";
import { oneOf } from "~/core/dose/dose";
import type { Variant } from "./exercise";
import { bodyPositions } from "./exercise";
import { knobByName } from "./knob";
import { KnobValue, type Prescription } from "./prescription";

const origin = oneOf(["surgeon", "stage", "kit", "person", "clinician"], "Who set the limit");
const until = Type.Optional(Type.String({ format: "date", description: "Last day on which it holds" }));
const says = Type.String({ minLength: 1, maxLength: 160, description: "The limit in words" });

/** What a prescription may not go beyond. The surgeon's limits win over everything else. */
export const Restriction = Type.Union([
  Type.Object(
    { kind: Type.Literal("knob-limit"), knob: Type.String(), hardest: KnobValue, origin, until, says },
    { additionalProperties: false },
  ),
  Type.Object(
    { kind: Type.Literal("kit"), available: Type.Array(Type.String()), origin, until, says },
    { additionalProperties: false },
  ),
  Type.Object(
    { kind: Type.Literal("position"), cannot: Type.Array(oneOf(bodyPositions)), origin, until, says },
    { additionalProperties: false },
  ),
  Type.Object(
    { kind: Type.Literal("variants"), allowed: Type.Array(Type.String()), origin, until, says },
    { additionalProperties: false },
  ),
]);
export type Restriction = Static<typeof Restriction>;

type Check = (restriction: never, prescription: Prescription, variant: Variant) => boolean;

const broken: Record<Restriction["kind"], Check> = {
  "knob-limit": (r: Extract<Restriction, { kind: "knob-limit" }>, prescription) => {
    const value = knobByName(r.knob).read(prescription);
    return value !== undefined && harderThan(r.knob, value, r.hardest);
  },
  kit: (r: Extract<Restriction, { kind: "kit" }>, _prescription, variant) =>
    variant.kit.some((piece) => !r.available.includes(piece)),
  position: (r: Extract<Restriction, { kind: "position" }>, _prescription, variant) =>
    r.cannot.includes(variant.position),
  variants: (r: Extract<Restriction, { kind: "variants" }>, prescription) =>
    !r.allowed.includes(prescription.variantId),
};

/**
 * The first restriction that a prescription would break on `today`, or null when none is broken.
 *
 * @param today local date (YYYY-MM-DD); a restriction holds up to and including its `until`
 */
export function obstacle(
  prescription: Prescription,
  variant: Variant,
  restrictions: readonly Restriction[],
  today: string,
): Restriction | null {
  const inForce = restrictions.filter((r) => r.until === undefined || today <= r.until);
  const surgeonFirst = [...inForce].sort(
    (a, b) => Number(b.origin === "surgeon") - Number(a.origin === "surgeon"),
  );
  return surgeonFirst.find((r) => broken[r.kind](r as never, prescription, variant)) ?? null;
}

/** True when `value` is harder than `limit` on this knob; ranges are compared by their upper end. */
function harderThan(knobName: string, value: KnobValue, limit: KnobValue): boolean {
  const knob = knobByName(knobName);
  if (knob.words) return knob.words.indexOf(String(value)) > knob.words.indexOf(String(limit));
  const [a, b] = [upperEnd(value), upperEnd(limit)];
  return knob.harderIs === "up" ? a > b : a < b;
}

function upperEnd(value: KnobValue): number {
  return Number(String(value).split("-").at(-1));
}
