import type { ClipboardEvent, KeyboardEvent } from "react";
import type { MeasuresView } from "~/contract/measures";
import { takenBy } from "~/core/device/taken-by";
import type { Measure } from "~/core/measure/measure";
import { stillMeasures } from "~/core/measure/still";
import { t } from "~/messages/say";
import EntryRow from "./EntryRow";
import { emptyRow, pastedLines, trialsOf, type RowEntry, type Side, type VisitDraft } from "./entry-draft";

interface Props {
  view: Pick<MeasuresView, "involvedSide" | "status" | "barred">;
  measures: ReadonlyMap<string, Measure>;
  draft: Pick<VisitDraft, "codes" | "rows">;
  onRow: (code: string, row: RowEntry) => void;
  /** Left out where no line can go. */
  onRemove?: (code: string) => void;
  /** Left out where nothing was measured before. */
  onTrend?: (code: string) => void;
  /** Left out where no pictures are looked at. */
  onStill?: (view: "front" | "side") => void;
  /** Left out where no device is listened to. */
  onTake?: (code: string) => void;
}

const moves: Record<string, number> = { Enter: 1, ArrowDown: 1, ArrowUp: -1 };

/**
 * The grid of a visit: one line a measure, left on the left. Tab goes on, Enter and the arrows go down and up the
 * column, a copied spreadsheet column pastes downwards.
 */
export default function EntryGrid({
  view,
  measures,
  draft,
  onRow,
  onRemove,
  onTrend,
  onTake,
  onStill,
}: Props) {
  const { involvedSide } = view;
  const rows = draft.codes.flatMap((code) => measures.get(code) ?? []);
  const rowOf = (measure: Measure) => draft.rows[measure.code] ?? emptyRow(measure);

  const onKeyDown = (event: KeyboardEvent<HTMLTableElement>) => {
    const step = moves[event.key];
    const cell = event.target;
    if (!step || !(cell instanceof HTMLInputElement) || !cell.dataset["column"]) return;
    event.preventDefault();
    const column = [
      ...event.currentTarget.querySelectorAll<HTMLInputElement>(`[data-column="${cell.dataset["column"]}"]`),
    ];
    const next = column[column.indexOf(cell) + step];
    next?.focus();
    next?.select();
  };

  const onPaste = (event: ClipboardEvent<HTMLTableElement>) => {
    const cell = event.target;
    const lines = pastedLines(event.clipboardData.getData("text"));
    if (lines.length < 2 || !(cell instanceof HTMLInputElement) || !cell.dataset["column"]) return;
    event.preventDefault();
    const column = [
      ...event.currentTarget.querySelectorAll<HTMLInputElement>(`[data-column="${cell.dataset["column"]}"]`),
    ];
    const from = column.indexOf(cell);
    lines.forEach((line, n) => {
      const target = column[from + n];
      const { code, side, trial } = target?.dataset ?? {};
      const measure = measures.get(code ?? "");
      if (measure && side && trial) typed(measure, side as Side, Number(trial), line);
    });
  };

  /** Rows changed within one paste build on each other, so the latest is read back each time. */
  const latest = new Map<string, RowEntry>();
  const typed = (measure: Measure, side: Side, trial: number, text: string) => {
    const row = latest.get(measure.code) ?? rowOf(measure);
    const before = row.sides[side]?.trials ?? [];
    const trials = Array.from({ length: Math.max(trialsOf(measure), trial + 1) }, (_, n) =>
      n === trial ? text : (before[n] ?? ""),
    );
    // What a device told belongs to the number that it gave, not to one that is typed over it.
    const traces = row.sides[side]?.traces?.map((trace, n) => (n === trial ? null : trace));
    const entry = { ...row.sides[side], trials, ...(traces ? { traces } : {}) };
    const next = { ...row, sides: { ...row.sides, [side]: entry } };
    latest.set(measure.code, next);
    onRow(measure.code, next);
  };

  const stillOf = ({ code }: Measure) => {
    const look = stillMeasures.get(code);
    return look && onStill ? () => onStill(look) : undefined;
  };

  const head = (side: "left" | "right") => (
    <th scope="col" className="px-2 py-1 text-left">
      {t(`side.${side}`)}
      {(involvedSide === side || involvedSide === "both") && (
        <span className="bg-accent text-accent-content ml-2 rounded px-1.5 text-xs">
          {t("measures.injured")}
        </span>
      )}
    </th>
  );

  if (rows.length === 0) {
    return <p className="bg-base-100 border-base-300 rounded-box border p-4">{t("measures.emptyGrid")}</p>;
  }
  return (
    <div
      className="bg-base-100 border-base-300 rounded-box relative overflow-x-auto border"
      role="region"
      aria-label={t("measures.measure")}
      tabIndex={-1}
    >
      {/* A card for each measure on a phone. What is laid out otherwise loses its place in a table, so the roles are said. */}
      <table
        role="table"
        className="w-full max-sm:block"
        onKeyDown={onKeyDown}
        onPaste={onPaste}
        data-testid="entry-grid"
      >
        <thead role="rowgroup" className="bg-base-200 text-sm max-sm:hidden">
          <tr role="row">
            <th scope="col" className="px-3 py-1 text-left">
              {t("measures.measure")}
            </th>
            {head("left")}
            {head("right")}
            <th scope="col" className="px-2 py-1 text-left">
              {t("measures.reading")}
            </th>
            <th scope="col" className="w-10">
              <span className="sr-only">{t("measures.remove")}</span>
            </th>
          </tr>
        </thead>
        <tbody role="rowgroup" className="max-sm:block">
          {rows.map((measure) => (
            <EntryRow
              key={measure.code}
              measure={measure}
              row={rowOf(measure)}
              status={view.status.find((s) => s.code === measure.code) ?? null}
              involvedSide={involvedSide}
              barredBy={view.barred.find((bar) => bar.measure === measure.code)?.says ?? null}
              onTyped={(side, trial, text) => typed(measure, side, trial, text)}
              onRow={(row) => onRow(measure.code, row)}
              onRemove={onRemove && (() => onRemove(measure.code))}
              onTrend={onTrend && (() => onTrend(measure.code))}
              onStill={stillOf(measure)}
              onTake={onTake && takenBy(measure) ? () => onTake(measure.code) : undefined}
            />
          ))}
        </tbody>
      </table>
    </div>
  );
}
