import Tap from "./Tap";

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
          <Tap
            key={code}
            name={name}
            value={code}
            checked={value === code}
            onChange={() => onChange(code)}
            look="px-3"
          >
            {says}
          </Tap>
        ))}
      </div>
    </fieldset>
  );
}
