import { useFormContext, useWatch, type FieldPath } from "react-hook-form";
import { typedNumber } from "~/islands/frame/typed-number";
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
  /** It may not stay empty. */
  needed?: boolean;
}

/** A number with its unit, or a range of two. */
export default function NumberField({ label, name, to, unit, small, empty, needed = false }: Props) {
  const { register } = useFormContext<PrescribeFields>();
  const typed = useWatch<PrescribeFields>({ name: to ? [name, to] : [name] }) as string[];
  const box = (n: number) => {
    const value = typedNumber(typed[n] ?? "");
    const isWrong = value === null ? needed : Number.isNaN(value);
    const size = small ? "w-13" : "w-16";
    return {
      className: `input ${size} px-2 text-center ${isWrong ? "input-error" : ""}`,
      "aria-invalid": isWrong,
      inputMode: "decimal" as const,
    };
  };
  return (
    <div className="flex flex-col text-sm">
      <label className={small ? "text-base-content/75" : "font-medium"} htmlFor={`prescribe-${name}`}>
        {label}
        {unit ? ` (${unit})` : ""}
      </label>
      <span className="flex items-center gap-1">
        <input id={`prescribe-${name}`} placeholder={empty} {...box(0)} {...register(name)} />
        {to && (
          <>
            <span aria-hidden>–</span>
            <input {...box(1)} aria-label={t("prescribe.upTo", { what: label })} {...register(to)} />
          </>
        )}
      </span>
    </div>
  );
}
