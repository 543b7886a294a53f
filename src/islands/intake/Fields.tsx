import { useId, type ReactNode } from "react";
import { useFormContext, type FieldPath } from "react-hook-form";
import type { IntakeFields } from "./intake-fields";

interface Named {
  name: FieldPath<IntakeFields>;
  label: string;
}

/** A box of the form with its heading. */
export function Section({
  title,
  testId,
  children,
}: {
  title: string;
  testId?: string;
  children: ReactNode;
}) {
  return (
    <fieldset
      data-testid={testId}
      className="bg-base-100 border-base-300 rounded-box grid grid-cols-2 gap-x-3 gap-y-2 border p-3 pt-1"
    >
      <legend className="px-1 font-semibold">{title}</legend>
      {children}
    </fieldset>
  );
}

type Width = "one" | "two" | "row";
const widths: Readonly<Record<Width, string>> = {
  one: "",
  two: "col-span-2",
  row: "col-span-full sm:col-span-3",
};

/** What a field needs from the form: its value, whether it is refused, and why. */
function useField(name: FieldPath<IntakeFields>) {
  const { register, getFieldState, formState } = useFormContext<IntakeFields>();
  const { invalid, error } = getFieldState(name, formState);
  const noteId = useId();
  const said = typeof error?.message === "string" ? error.message : undefined;
  const props = { ...register(name), "aria-invalid": invalid, "aria-describedby": said ? noteId : undefined };
  const note = said ? (
    <span id={noteId} className="text-error font-medium">
      {said}
    </span>
  ) : null;
  return { props, note };
}

/** One line of text, a number or a date. */
export function TextField({
  name,
  label,
  type = "text",
  width = "one",
  min,
  max,
  maxLength,
}: Named & { type?: string; width?: Width; min?: number; max?: number; maxLength?: number }) {
  const { props, note } = useField(name);
  const limits = { min, max, maxLength };
  return (
    <label className={`flex flex-col text-sm ${widths[width]}`}>
      {label}
      <input
        className="input aria-invalid:border-error w-full"
        type={type}
        autoComplete="off"
        {...limits}
        {...props}
      />
      {note}
    </label>
  );
}

/** One of several. */
export function SelectField({
  name,
  label,
  options,
  isLong = false,
}: Named & {
  options: readonly (readonly [string, string])[];
  /** Its words need the whole width of a phone. */
  isLong?: boolean;
}) {
  const { props, note } = useField(name);
  return (
    <label className={`flex flex-col text-sm ${isLong ? "max-sm:col-span-2" : ""}`}>
      {label}
      <select className="select aria-invalid:border-error w-full pr-9 text-ellipsis" {...props}>
        {options.map(([value, says]) => (
          <option key={value} value={value}>
            {says}
          </option>
        ))}
      </select>
      {note}
    </label>
  );
}

/** One yes or no; with a value, one of a list that can be ticked. */
export function TickField({ name, label, value }: Named & { value?: string }) {
  const { props, note } = useField(name);
  return (
    <label className="flex min-h-11 cursor-pointer items-center gap-2 text-sm">
      <input type="checkbox" className="checkbox" value={value} {...props} />
      {label} {note}
    </label>
  );
}
