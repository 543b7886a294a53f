import { useEffect, useRef, useState } from "react";
import { v7 as uuid } from "uuid";
import type { MeasuresView } from "~/contract/measures";
import type { Problem } from "~/contract/problem";
import type { Measure } from "~/core/measure/measure";
import {
  possibleOrders,
  readResultsTable,
  type ColumnUse,
  type DateOrder,
} from "~/core/measure/results-table";
import { largestTableBytes, type CellsRead } from "~/core/table/table-cells";
import { call } from "~/islands/frame/call";
import ProblemNote from "~/islands/frame/ProblemNote";
import { t } from "~/messages/say";
import type { AskTable } from "~/workers/tables";
import { columnsOf, keepColumns, toImport } from "./table-draft";
import TablePreview from "./TablePreview";

interface Props {
  view: MeasuresView;
  measures: ReadonlyMap<string, Measure>;
  onDone: (measures: MeasuresView, count: number) => void;
  onClose: () => void;
}

interface Table {
  /** Made with the file, so that its days are recorded once however often they are sent. */
  readonly id: string;
  readonly name: string;
  readonly head: readonly string[];
  readonly rows: readonly (readonly string[])[];
}

/** Results out of a spreadsheet: every column matched, every cell that cannot be taken told, all recorded or nothing. */
export default function TablePanel({ view, measures, onDone, onClose }: Props) {
  const dialog = useRef<HTMLDialogElement>(null);
  const [table, setTable] = useState<Table | null>(null);
  const [uses, setUses] = useState<readonly ColumnUse[]>([]);
  const [order, setOrder] = useState<DateOrder | null>(null);
  const [meant, setMeant] = useState(false);
  const [fault, setFault] = useState("");
  const [problem, setProblem] = useState<Problem | null>(null);
  const [busy, setBusy] = useState(false);
  useEffect(() => {
    dialog.current?.showModal();
  }, []);

  const read = async (chosen: File | undefined) => {
    if (!chosen) return;
    setTable(null);
    setProblem(null);
    setFault("");
    const cells =
      chosen.size > largestTableBytes
        ? ({ ok: false, fault: "too-large" } as const)
        : await cellsOf(new Uint8Array(await chosen.arrayBuffer()));
    if (!cells.ok) return setFault(t(`table.fault.${cells.fault}`));
    const guessed = columnsOf(cells.head, measures);
    setTable({ id: uuid(), name: chosen.name, ...cells });
    setUses(guessed);
    setOrder(null);
    setMeant(false);
  };

  const dateAt = uses.findIndex(({ kind }) => kind === "date");
  const orders = table && dateAt >= 0 ? possibleOrders(table.rows.map((cells) => cells[dateAt] ?? "")) : [];
  const chosenOrder = order ?? orders[0] ?? "ymd";
  const reading = table
    ? readResultsTable(table.rows, measures, { uses, order: chosenOrder, today: view.today, meant })
    : null;
  const isAmbiguous = orders.length > 1 && !orders.includes("ymd");
  const unusual = reading?.problems.some((one) => one.problem === "unusual") ?? false;
  const mayRecord = reading !== null && reading.visits.length > 0 && reading.problems.length === 0;

  const record = async () => {
    if (!table || !reading) return;
    setBusy(true);
    const answer = await call("importVisits", { id: view.episodeId }, toImport(table.id, reading.visits));
    setBusy(false);
    if (!answer.ok) return setProblem(answer.problem);
    keepColumns(table.head, uses);
    onDone(
      answer.value.measures,
      reading.visits.reduce((sum, { results }) => sum + results.length, 0),
    );
    dialog.current?.close();
  };

  return (
    <dialog
      ref={dialog}
      className="modal text-base-content"
      aria-label={t("table.title")}
      onClose={onClose}
      data-testid="table"
    >
      <div className="modal-box flex max-h-[96dvh] w-full max-w-6xl flex-col gap-3 max-sm:max-h-dvh max-sm:rounded-none max-sm:p-3">
        <h2 className="text-lg font-semibold">{t("table.title")}</h2>
        <p className="text-sm">{t("table.says")}</p>
        <div className="flex flex-wrap items-center gap-3">
          <label className="btn w-fit">
            {t("table.file")}
            <input
              type="file"
              accept=".csv,.tsv,.txt,.xlsx"
              className="sr-only"
              onChange={({ target }) => {
                void read(target.files?.[0]);
                target.value = "";
              }}
            />
          </label>
          {table && <span className="font-medium">{table.name}</span>}
          {isAmbiguous && (
            <label className="flex items-center gap-2 text-sm">
              <span className="text-warning font-medium">{t("table.order")}</span>
              <select
                className="select w-52"
                value={chosenOrder}
                onChange={({ target }) => setOrder(target.value as DateOrder)}
              >
                {orders.map((one) => (
                  <option key={one} value={one}>
                    {t(`table.order.${one}`)}
                  </option>
                ))}
              </select>
            </label>
          )}
        </div>
        {fault && (
          <p className="text-error font-medium" role="alert">
            {fault}
          </p>
        )}
        {table && reading && (
          <TablePreview
            head={table.head}
            rows={table.rows}
            uses={uses}
            measures={measures}
            problems={reading.problems}
            onUse={(at, use) => setUses(uses.map((one, n) => (n === at ? use : one)))}
          />
        )}
        {(unusual || meant) && (
          <label className="flex min-h-11 items-center gap-2 font-medium">
            <input
              type="checkbox"
              className="checkbox"
              checked={meant}
              onChange={({ target }) => setMeant(target.checked)}
            />
            {t("table.meant")}
          </label>
        )}
        {problem && <ProblemNote problem={problem} sayPath={(path) => dayOf(path, reading?.visits)} />}
        <div className="flex flex-wrap justify-end gap-2">
          <button type="button" className="btn" onClick={() => dialog.current?.close()}>
            {t("table.close")}
          </button>
          <button
            type="button"
            className="btn btn-primary"
            disabled={!mayRecord || busy}
            onClick={() => void record()}
          >
            {t("table.record", { days: reading?.visits.length ?? 0 })}
          </button>
        </div>
      </div>
    </dialog>
  );
}

/** The day that a problem of the answer is about. */
const dayOf = (path: string, visits: readonly { readonly takenOn: string }[] = []): string =>
  visits[Number(/^\/visits\/(\d+)/.exec(path)?.[1] ?? -1)]?.takenOn ?? "";

/** Reads a file beside the view. */
function cellsOf(bytes: Uint8Array): Promise<CellsRead> {
  const worker = new Worker(new URL("../../workers/tables.ts", import.meta.url), { type: "module" });
  return new Promise((resolve) => {
    const end = (read: CellsRead) => {
      worker.terminate();
      resolve(read);
    };
    worker.onerror = () => end({ ok: false, fault: "no-table" });
    worker.onmessage = ({ data }: MessageEvent<CellsRead>) => end(data);
    worker.postMessage({ bytes } satisfies AskTable);
  });
}
