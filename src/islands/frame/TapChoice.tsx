interface Props<T extends string> {
  label: string;
  name: string;
  options: readonly (readonly [value: T, says: string])[];
  value: T | "";
  onChange: (value: T) => void;
}

/** One of a few, each a tap away; arrow keys move it. */
export default function TapChoice<T extends string>({ label, name, options, value, onChange }: Props<T>) {
  return (
    <fieldset>
      <legend className="mb-1 text-sm font-medium">{label}</legend>
      <div className="flex flex-wrap gap-1">
        {options.map(([code, says]) => (
          <label
            key={code}
            className="border-base-content/30 has-checked:bg-primary has-checked:text-primary-content has-focus-visible:outline-accent relative grid min-h-11 cursor-pointer place-items-center rounded-md border px-3 has-checked:font-semibold has-focus-visible:outline-3"
          >
            <input
              type="radio"
              className="sr-only"
              name={name}
              value={code}
              checked={value === code}
              onChange={() => onChange(code)}
            />
            {says}
          </label>
        ))}
      </div>
    </fieldset>
  );
}
