import type { UseFormRegisterReturn } from "react-hook-form";

interface Props {
  label: string;
  /** What stands there while nothing is chosen. */
  open?: string;
  options: readonly (readonly [value: string | number, says: string])[];
  /** Width of the box, as a class. */
  width: string;
  field: UseFormRegisterReturn;
}

/** One of a few, or nothing said. */
export default function ChoiceField({ label, open = "–", options, width, field }: Props) {
  return (
    <label className="flex flex-col gap-1 text-sm font-medium">
      {label}
      <select className={`select ${width}`} {...field}>
        <option value="">{open}</option>
        {options.map(([value, says]) => (
          <option key={value} value={value}>
            {says}
          </option>
        ))}
      </select>
    </label>
  );
}
