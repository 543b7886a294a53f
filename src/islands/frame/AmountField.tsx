import type { UseFormRegisterReturn } from "react-hook-form";

interface Props {
  label: string;
  unit: string;
  low: number;
  high: number;
  /** Width of the box, as a class. */
  width: string;
  field: UseFormRegisterReturn;
}

/** A number with its unit in the box. */
export default function AmountField({ label, unit, low, high, width, field }: Props) {
  return (
    <label className="flex flex-col gap-1 text-sm font-medium">
      {label}
      <span className={`input ${width}`}>
        <input type="number" inputMode="numeric" min={low} max={high} {...field} />
        <span className="text-base-content/70">{unit}</span>
      </span>
    </label>
  );
}
