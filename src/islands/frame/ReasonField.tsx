import { t } from "~/messages/say";
import { mostLetters } from "./reason-rules";

interface Props {
  label: string;
  /** What ties the field to its form. */
  field: Pick<React.ComponentProps<"textarea">, "name" | "value" | "onChange" | "onBlur" | "ref">;
  invalid: boolean;
}

/** A line or two of reasons. */
export default function ReasonField({ label, field, invalid }: Props) {
  return (
    <label className="flex flex-col gap-1 text-sm font-medium">
      {label}
      <textarea
        className="textarea w-full"
        rows={2}
        maxLength={mostLetters}
        aria-invalid={invalid}
        {...field}
      />
      {invalid && <span className="text-error font-normal">{t("form.reasonShort")}</span>}
    </label>
  );
}
