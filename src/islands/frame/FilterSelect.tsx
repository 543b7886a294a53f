interface Props {
  name: string;
  value: string;
  options: readonly (readonly [value: string, says: string])[];
  onValue: (value: string) => void;
}

/** One filter: its name above, its present choice in it. */
export default function FilterSelect({ name, value, options, onValue }: Props) {
  return (
    <label className="flex min-w-0 flex-col text-sm">
      <span className="text-base-content/75">{name}</span>
      <select className="select w-full" value={value} onChange={(event) => onValue(event.target.value)}>
        {options.map(([code, says]) => (
          <option key={code} value={code}>
            {says}
          </option>
        ))}
      </select>
    </label>
  );
}
