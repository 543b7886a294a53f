import type { UseFormRegisterReturn } from "react-hook-form";

interface Props {
  label: string;
  field: UseFormRegisterReturn;
  invalid: boolean;
}

/** Rules every written reason follows; the endpoint checks the same. */
export const reasonRules = {
  required: true,
  maxLength: 400,
  validate: (text: string) => text.trim().length >= 3,
};

/** A line or two of reasons. */
export default function ReasonField({ label, field, invalid }: Props) {
  return (
    <label className="flex flex-col gap-1 text-sm font-medium">
      {label}
      <textarea className="textarea w-full" rows={2} maxLength={400} aria-invalid={invalid} {...field} />
    </label>
  );
}
