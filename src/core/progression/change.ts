import { Type, type Static } from "@sinclair/typebox";
import { oneOf } from "~/core/schema/one-of";
import { Lane } from "~/core/exercise/body";
import { knobByName } from "~/core/exercise/knob";
import { KnobValue, Prescription } from "~/core/exercise/prescription";

/** What a proposal would alter. `knob` and `variant` both turn exactly one knob and carry the result. */
export const Change = Type.Union([
  Type.Object(
    {
      kind: oneOf(["knob", "variant"]),
      knob: Type.String(),
      from: KnobValue,
      to: KnobValue,
      prescription: Prescription,
    },
    { additionalProperties: false },
  ),
  Type.Object(
    {
      kind: Type.Literal("by-hand"),
      /** Knobs and fields of the dose that a clinician altered at once. */
      altered: Type.Array(Type.String({ minLength: 1, maxLength: 40 }), { maxItems: 60 }),
      prescription: Prescription,
    },
    { additionalProperties: false },
  ),
  Type.Object({ kind: Type.Literal("lane-ready"), lane: Lane }, { additionalProperties: false }),
  Type.Object(
    {
      kind: Type.Literal("offer"),
      offer: oneOf(["more-volume", "another-variant", "referral", "swap", "lane-review"]),
    },
    { additionalProperties: false },
  ),
  Type.Object(
    {
      kind: Type.Literal("suspend"),
      scope: oneOf(["item", "lane", "impact", "hamstrings", "extension", "session", "plan"]),
    },
    { additionalProperties: false },
  ),
]);
export type Change = Static<typeof Change>;
export type ByHandChange = Extract<Change, { kind: "by-hand" }>;
export type TurnedChange = Extract<Change, { knob: string }>;

/** A change of one knob to a given value. */
export function turnTo(prescription: Prescription, knobName: string, to: KnobValue): TurnedChange {
  const knob = knobByName(knobName);
  const from = knob.read(prescription) ?? 0;
  return { kind: "knob", knob: knobName, from, to, prescription: knob.write(prescription, to) };
}
