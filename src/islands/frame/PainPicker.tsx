import Tap from "./Tap";

interface Props {
  label: string;
  name: string;
  value: number | null;
  onChange: (value: number) => void;
  /** Words under the ends of the scale. */
  ends?: readonly [string, string];
}

const scale = Array.from({ length: 11 }, (_, n) => n);

/** A whole number 0–10, one tap; arrow keys move it. Used for pain and for effort. */
export default function PainPicker({ label, name, value, onChange, ends }: Props) {
  return (
    <fieldset>
      <legend className="mb-1 text-sm font-medium">
        {label}
        {value === null && <span className="text-base-content/75 font-normal"> 0–10</span>}
      </legend>
      <div className="grid grid-cols-6 gap-1 sm:grid-cols-11">
        {scale.map((n) => (
          <Tap
            key={n}
            name={name}
            value={n}
            checked={value === n}
            onChange={() => onChange(n)}
            label={`${label} ${n}`}
            look="text-lg"
          >
            {n}
          </Tap>
        ))}
      </div>
      {ends && (
        <p className="text-base-content/70 mt-0.5 flex justify-between text-xs">
          <span>{ends[0]}</span>
          <span>{ends[1]}</span>
        </p>
      )}
    </fieldset>
  );
}
