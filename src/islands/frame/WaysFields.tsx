import type { Ways } from "~/contract/habits";
import type { MessageKey } from "~/messages/en";
import { t } from "~/messages/say";

const choices = {
  weight: { kg: "way.weight.kg", lb: "way.weight.lb" },
  length: { cm: "way.length.cm", in: "way.length.in" },
  dates: { "day-month": "way.dates.day-month", "month-day": "way.dates.month-day" },
} as const satisfies { readonly [K in keyof Ways]: Readonly<Record<Ways[K], MessageKey>> };
const kinds = ["weight", "length", "dates"] as const;

/** One way of writing, in words. */
export const sayWay = (kind: keyof Ways, way: string): string =>
  t((choices[kind] as Readonly<Record<string, MessageKey>>)[way] ?? `way.${kind}`);

interface Props {
  value: Partial<Ways>;
  /** What nothing chosen means, where that can be. */
  open?: (kind: keyof Ways) => string;
  /** Null: what nothing chosen means. */
  onChange: (more: { readonly [K in keyof Ways]?: Ways[K] | null }) => void;
}

/** How weights, lengths and dates are written. */
export default function WaysFields({ value, open, onChange }: Props) {
  return (
    <div className="grid grid-cols-[repeat(auto-fit,minmax(13rem,1fr))] gap-2">
      {kinds.map((kind) => (
        <label key={kind} className="flex flex-col gap-1 font-medium">
          {t(`way.${kind}`)}
          <select
            className="select w-full"
            value={value[kind] ?? ""}
            onChange={(event) => onChange({ [kind]: event.target.value || null })}
          >
            {open && <option value="">{open(kind)}</option>}
            {Object.entries(choices[kind]).map(([code, says]) => (
              <option key={code} value={code}>
                {t(says)}
              </option>
            ))}
          </select>
        </label>
      ))}
    </div>
  );
}
