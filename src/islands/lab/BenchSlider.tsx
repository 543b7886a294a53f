interface Props {
  says: string;
  value: number;
  range: readonly [number, number];
  step?: number;
  onValue: (value: number) => void;
  /** The value with its unit. */
  shown: string;
}

/** One thing about a posture, slid from end to end. */
export default function BenchSlider({ says, value, range: [min, max], step = 1, onValue, shown }: Props) {
  return (
    <label className="grid grid-cols-[9rem_1fr_4rem] items-center gap-x-2 text-sm">
      {says}
      <input
        type="range"
        className="accent-primary h-11 w-full"
        min={min}
        max={max}
        step={step}
        value={value}
        aria-valuetext={shown}
        onChange={(event) => onValue(Number(event.target.value))}
      />
      <span className="text-right font-semibold tabular-nums">{shown}</span>
    </label>
  );
}
