import { useSortable } from "@dnd-kit/sortable";
import { CSS } from "@dnd-kit/utilities";
import { ArrowDown, ArrowUp, GripVertical } from "lucide-react";
import { itemRoles, type ItemRole } from "~/core/exercise/role";
import { t } from "~/messages/say";
import type { ArrangeRow } from "./arrange-draft";

interface Props {
  row: ArrangeRow;
  place: number;
  last: number;
  /** A circuit begins with it: here its rest is typed. */
  begins: boolean;
  onMove: (to: number) => void;
  onChange: (change: Partial<ArrangeRow>) => void;
}

/** One exercise of the order: its handle, role, and whether it is done in a circuit with the one above. */
export default function ArrangeLine({ row, place, last, begins, onMove, onChange }: Props) {
  const { itemId, name, role, joined, roundRest } = row;
  const { attributes, listeners, setNodeRef, setActivatorNodeRef, transform, transition, isDragging } =
    useSortable({ id: itemId });
  return (
    <li
      ref={setNodeRef}
      style={{ transform: CSS.Translate.toString(transform), transition }}
      className={`bg-base-200 grid grid-cols-[auto_1fr_auto] items-center gap-x-2 rounded-md py-1 pr-1 ${joined ? "border-primary ml-4 border-l-4" : ""} ${begins ? "border-primary border-l-4" : ""} ${isDragging ? "relative z-10 shadow-lg" : ""}`}
      data-testid="arrange-line"
    >
      <button
        type="button"
        ref={setActivatorNodeRef}
        className="btn btn-ghost btn-square cursor-grab touch-none"
        {...attributes}
        {...listeners}
        aria-label={t("plan.grip", { exercise: name })}
      >
        <GripVertical aria-hidden className="size-5" />
      </button>
      <div className="min-w-0">
        <p className="leading-tight font-semibold break-words">
          {place + 1}. {name}
        </p>
        <div className="flex flex-wrap items-center gap-x-4 text-sm">
          <select
            className="select w-32"
            aria-label={t("plan.roleOf", { exercise: name })}
            value={role}
            onChange={(event) => onChange({ role: event.target.value as ItemRole })}
          >
            {itemRoles.map((code) => (
              <option key={code} value={code}>
                {t(`role.${code}`)}
              </option>
            ))}
          </select>
          {place > 0 && (
            <label className="flex min-h-11 cursor-pointer items-center gap-2">
              <input
                type="checkbox"
                className="checkbox"
                checked={joined}
                onChange={(event) => onChange({ joined: event.target.checked })}
              />
              {t("plan.withAbove")}
            </label>
          )}
          {begins && (
            <label className="flex items-center gap-2">
              {t("plan.roundRest")}
              <input
                className="input w-20"
                inputMode="numeric"
                value={roundRest}
                onChange={(event) => onChange({ roundRest: event.target.value })}
              />
            </label>
          )}
        </div>
      </div>
      <div className="flex">
        <button
          type="button"
          className="btn btn-ghost btn-square"
          disabled={place === 0}
          aria-label={t("plan.up", { exercise: name })}
          onClick={() => onMove(place - 1)}
        >
          <ArrowUp aria-hidden className="size-5" />
        </button>
        <button
          type="button"
          className="btn btn-ghost btn-square"
          disabled={place === last}
          aria-label={t("plan.down", { exercise: name })}
          onClick={() => onMove(place + 1)}
        >
          <ArrowDown aria-hidden className="size-5" />
        </button>
      </div>
    </li>
  );
}
