import type { Band } from "~/core/band/band";
import { kgOfPound } from "~/core/load/pounds";
import { typedNumber } from "~/islands/frame/typed-number";
import { ways } from "~/messages/ways";

/** A band as it is being measured: text of a length tape and of a luggage scale. */
export interface BandDraft {
  readonly id: string;
  readonly name: string;
  readonly form: Band["form"];
  readonly where: Band["where"];
  readonly rest: string;
  /** What it is stretched by, cm, and what the scale shows, in the reader's unit of weight. */
  readonly rows: readonly { readonly stretch: string; readonly pull: string }[];
}

/** Newtons of one kilogram on a scale, by definition (standard gravity, 1901). */
const newtonsOfKilogram = 9.80665;
const perUnit = () => newtonsOfKilogram * (ways().weight === "lb" ? kgOfPound : 1);
const round = (value: number, digits: number) => Number(value.toFixed(digits));
const emptyRow = { stretch: "", pull: "" };

export const newBand = (id: string): BandDraft => ({
  id,
  name: "",
  form: "strip",
  where: "clinic",
  rest: "100",
  rows: [emptyRow, emptyRow, emptyRow],
});

/** A band that is measured anew, as it stands. */
export const draftOfBand = ({ points, restCm, ...band }: Band): BandDraft => ({
  ...band,
  rest: String(restCm),
  rows: points.map(({ stretchCm, forceN }) => ({
    stretch: String(round(stretchCm, 1)),
    pull: pullOf(forceN),
  })),
});

/** The stretches that are measured most: none, once and twice its length. */
export const usualStretches = (draft: BandDraft): BandDraft => {
  const rest = typedNumber(draft.rest);
  if (!rest) return draft;
  const stretches = [0, 1, 2].map((times) => String(round(times * rest, 1)));
  const rows = stretches.map((stretch, n) => ({ stretch, pull: draft.rows[n]?.pull ?? "" }));
  return { ...draft, rows: [...rows, ...draft.rows.slice(rows.length)] };
};

export const withRow = (draft: BandDraft): BandDraft => ({ ...draft, rows: [...draft.rows, emptyRow] });

/** What a scale shows at so many newtons, in the reader's unit of weight. */
export const pullOf = (newtons: number): string => String(round(newtons / perUnit(), 2));

/** The newtons of what a scale shows; null where it is no number. */
export function newtonsOf(pull: string): number | null {
  const typed = typedNumber(pull);
  return typed === null || Number.isNaN(typed) ? null : round(typed * perUnit(), 2);
}

/**
 * The band that was typed.
 *
 * @returns the field that is missing or no number; rows that are wholly empty are left out
 */
export function bandTyped(
  draft: BandDraft,
): { readonly ok: true; readonly band: Band } | { readonly ok: false; readonly field: string } {
  const { rows, rest, name, ...same } = draft;
  if (name.trim() === "") return { ok: false, field: "name" };
  const restCm = typedNumber(rest);
  if (restCm === null || !(restCm >= 5 && restCm <= 500)) return { ok: false, field: "rest" };
  const used = rows
    .map((row, n) => ({ ...row, n }))
    .filter(({ stretch, pull }) => (stretch + pull).trim() !== "");
  const points: Band["points"] = [];
  for (const { stretch, pull, n } of used) {
    const stretchCm = typedNumber(stretch);
    const forceN = newtonsOf(pull);
    if (stretchCm === null || !(stretchCm >= 0 && stretchCm <= 1000))
      return { ok: false, field: `stretch-${n}` };
    if (forceN === null || !(forceN >= 0 && forceN < 5000)) return { ok: false, field: `pull-${n}` };
    points.push({ stretchCm, forceN });
  }
  if (points.length < 3) return { ok: false, field: `stretch-${Math.min(rows.length - 1, used.length)}` };
  return { ok: true, band: { ...same, name: name.trim(), restCm, points } };
}
