import type { ReactNode } from "react";
import { useFormContext, type FieldPath } from "react-hook-form";
import type { IntakeFields } from "./intake-fields";

interface Named {
  name: FieldPath<IntakeFields>;
  label: string;
}

/** A box of the form with its heading. */
export function Section({ title, children }: { title: string; children: ReactNode }) {
  return (
    <fieldset className="bg-base-100 border-base-300 rounded-box grid grid-cols-2 gap-x-3 gap-y-2 border p-3 pt-1">
      <legend className="px-1 font-semibold">{title}</legend>
      {children}
    </fieldset>
  );
}

/** One line of text, a number or a date. */
export function TextField({
  name,
  label,
  type = "text",
  wide = false,
  min,
  max,
}: Named & { type?: string; wide?: boolean; min?: number; max?: number }) {
  const { register } = useFormContext<IntakeFields>();
  return (
    <label className={`flex flex-col text-sm ${wide ? "col-span-2" : ""}`}>
      {label}
      <input
        className="input w-full"
        type={type}
        min={min}
        max={max}
        autoComplete="off"
        {...register(name)}
      />
    </label>
  );
}

/** One of several. */
export function SelectField({
  name,
  label,
  options,
  wide = false,
}: Named & { options: readonly (readonly [string, string])[]; wide?: boolean }) {
  const { register } = useFormContext<IntakeFields>();
  return (
    <label className={`flex flex-col text-sm ${wide ? "col-span-2" : ""}`}>
      {label}
      <select className="select w-full" {...register(name)}>
        {options.map(([value, says]) => (
          <option key={value} value={value}>
            {says}
          </option>
        ))}
      </select>
    </label>
  );
}

/** One yes or no; with a value, one of a list that can be ticked. */
export function TickField({ name, label, value }: Named & { value?: string }) {
  const { register } = useFormContext<IntakeFields>();
  return (
    <label className="flex min-h-11 cursor-pointer items-center gap-2 text-sm">
      <input type="checkbox" className="checkbox" value={value} {...register(name)} />
      {label}
    </label>
  );
}
