import { useFormContext, type FieldPath } from "react-hook-form";
import { t } from "~/messages/say";
import type { PrescribeFields } from "./prescribe-draft";

interface Props {
  label: string;
  name: FieldPath<PrescribeFields>;
  /** The upper end, where it is a range. */
  to?: FieldPath<PrescribeFields>;
  unit?: string;
  small?: boolean;
  /** What an empty field means. */
  empty?: string;
}

/** A number with its unit, or a range of two. */
export default function NumberField({ label, name, to, unit, small, empty }: Props) {
  const { register } = useFormContext<PrescribeFields>();
  const box = `input ${small ? "w-13 px-2" : "w-16 px-2"} text-center`;
  return (
    <div className="flex flex-col text-sm">
      <label className={small ? "text-base-content/75" : "font-medium"} htmlFor={`prescribe-${name}`}>
        {label}
        {unit ? ` (${unit})` : ""}
      </label>
      <span className="flex items-center gap-1">
        <input
          id={`prescribe-${name}`}
          className={box}
          inputMode="decimal"
          placeholder={empty}
          {...register(name)}
        />
        {to && (
          <>
            <span aria-hidden>–</span>
            <input
              className={box}
              inputMode="decimal"
              aria-label={t("prescribe.upTo", { what: label })}
              {...register(to)}
            />
          </>
        )}
      </span>
    </div>
  );
}
