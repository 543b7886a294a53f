interface Props {
  name: string;
  value: string | number;
  checked: boolean;
  onChange: () => void;
  /** What it is called, where what it shows does not say it. */
  label?: string;
  /** Size of its words, and the room beside them. */
  look: string;
  children: React.ReactNode;
}

/** One choice of several, a tap away: as large as a finger, moved by arrow keys. */
export default function Tap({ name, value, checked, onChange, label, look, children }: Props) {
  return (
    <label
      className={`border-base-content/30 has-checked:bg-primary has-checked:text-primary-content has-focus-visible:outline-accent relative grid min-h-11 cursor-pointer place-items-center rounded-md border has-checked:font-semibold has-focus-visible:outline-3 ${look}`}
    >
      <input
        type="radio"
        className="sr-only"
        name={name}
        value={value}
        checked={checked}
        onChange={onChange}
        aria-label={label}
      />
      {children}
    </label>
  );
}
