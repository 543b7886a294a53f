import type { ReactNode } from "react";

interface Props {
  pressed: boolean;
  /** How many there are; left out where that is not counted. */
  count?: number | string | undefined;
  onPress: () => void;
  children: ReactNode;
}

/** Shows some of the caseload, or everybody again. */
export default function FilterButton({ pressed, count, onPress, children }: Props) {
  return (
    <button
      type="button"
      className={`btn shrink-0 gap-1 px-2 ${pressed ? "btn-active" : "btn-ghost"}`}
      aria-pressed={pressed}
      onClick={onPress}
    >
      {children}
      {count !== undefined && <span className="badge badge-neutral badge-sm">{count}</span>}
    </button>
  );
}
