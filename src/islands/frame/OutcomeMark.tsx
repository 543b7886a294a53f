import { markShapes, markTone, type Mark } from "./outcome-shapes";

/** The shape of an outcome; its word stands beside it wherever it is used. */
export default function OutcomeMark({ mark, size = 24 }: { mark: Mark; size?: number }) {
  return (
    <svg viewBox="0 0 24 24" width={size} height={size} className={`${markTone[mark]} shrink-0`} aria-hidden>
      <path
        d={markShapes[mark]}
        fill="none"
        stroke="currentColor"
        strokeWidth={2.2}
        strokeLinecap="round"
        strokeLinejoin="round"
      />
    </svg>
  );
}
