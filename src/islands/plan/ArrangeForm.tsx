import {
  closestCenter,
  DndContext,
  KeyboardSensor,
  PointerSensor,
  useSensor,
  useSensors,
  type Announcements,
  type DragEndEvent,
} from "@dnd-kit/core";
import { SortableContext, sortableKeyboardCoordinates, verticalListSortingStrategy } from "@dnd-kit/sortable";
import { useState } from "react";
import type { PlanView } from "~/contract/plan";
import FormFeet from "~/islands/frame/FormFeet";
import ProblemNote from "~/islands/frame/ProblemNote";
import { useWrite } from "~/islands/frame/use-write";
import { t } from "~/messages/say";
import { arrangementOf, beginsCircuit, inUsualOrder, moved, rowsOf, withRow } from "./arrange-draft";
import ArrangeLine from "./ArrangeLine";

interface Props {
  plan: PlanView;
  onCancel: () => void;
  onSigned: (next: PlanView) => void;
}

/** The order of the plan, what each exercise is in it for, and circuits: dragged, or moved by keys and buttons, signed as one. */
export default function ArrangeForm({ plan, onCancel, onSigned }: Props) {
  const [rows, setRows] = useState(() => rowsOf(plan.items));
  const { send, busy, problem } = useWrite("arrangePlan", { id: plan.episodeId });
  const sensors = useSensors(
    useSensor(PointerSensor, { activationConstraint: { distance: 4 } }),
    useSensor(KeyboardSensor, { coordinateGetter: sortableKeyboardCoordinates }),
  );
  const dropped = ({ active, over }: DragEndEvent) => {
    const place = (id: unknown) => rows.findIndex(({ itemId }) => itemId === id);
    if (over && active.id !== over.id) setRows(moved(rows, place(active.id), place(over.id)));
  };
  const nameOf = (id: unknown) => rows.find(({ itemId }) => itemId === id)?.name ?? "";
  const placeOf = (id: unknown) => rows.findIndex(({ itemId }) => itemId === id) + 1;
  /** What a screen reader says of a move: names and places, where the package would say ids. */
  const announcements: Announcements = {
    onDragStart: ({ active }) => t("plan.picked", { exercise: nameOf(active.id) }),
    onDragOver: ({ active, over }) =>
      over ? t("plan.placed", { exercise: nameOf(active.id), place: placeOf(over.id) }) : undefined,
    onDragEnd: ({ active, over }) =>
      t("plan.dropped", { exercise: nameOf(active.id), place: placeOf(over?.id ?? active.id) }),
    onDragCancel: ({ active }) => t("plan.keptPlace", { exercise: nameOf(active.id) }),
  };
  const sign = async () => {
    const written = await send(arrangementOf(rows), String(plan.version));
    if (written) onSigned(written.plan);
  };
  /** The row or circuit that an answer speaks of. */
  const sayPath = (path: string) => {
    const [, list, at] = path.split("/");
    if (list === "entries" && at !== undefined) return `${rows[Number(at)]?.name ?? ""}:`;
    return list === "circuits" && path.endsWith("restSeconds") ? `${t("plan.roundRest")}:` : "";
  };

  return (
    <form
      className="bg-base-100 border-primary rounded-box border p-3"
      data-testid="arrange"
      onSubmit={(event) => {
        event.preventDefault();
        void sign();
      }}
    >
      <div className="flex flex-wrap items-center gap-2">
        <p className="text-base-content/80 min-w-48 flex-1 text-sm">{t("plan.orderHelp")}</p>
        <button type="button" className="btn" onClick={() => setRows(inUsualOrder(rows))}>
          {t("plan.usualOrder")}
        </button>
      </div>
      <DndContext
        sensors={sensors}
        collisionDetection={closestCenter}
        onDragEnd={dropped}
        accessibility={{ announcements, screenReaderInstructions: { draggable: t("plan.gripHelp") } }}
      >
        <SortableContext items={rows.map(({ itemId }) => itemId)} strategy={verticalListSortingStrategy}>
          <ol className="mt-2 flex flex-col gap-1">
            {rows.map((row, n) => (
              <ArrangeLine
                key={row.itemId}
                row={row}
                place={n}
                last={rows.length - 1}
                begins={beginsCircuit(rows, n)}
                onMove={(to) => setRows(moved(rows, n, to))}
                onChange={(change) => setRows(withRow(rows, n, change))}
              />
            ))}
          </ol>
        </SortableContext>
      </DndContext>
      <ProblemNote problem={problem} sayPath={sayPath} />
      <div className="mt-3">
        <FormFeet submit={t("plan.orderSign")} disabled={busy} onCancel={onCancel} />
      </div>
    </form>
  );
}
