import { Download, FileSpreadsheet } from "lucide-react";
import { urlOf } from "~/contract/addresses";
import { later } from "~/islands/frame/later";
import { v7 as uuid } from "uuid";
import { useEffect, useMemo, useState } from "react";
import type { Measure } from "~/core/measure/measure";
import type { MeasuresView } from "~/contract/measures";
import { useWrite } from "~/islands/frame/use-write";
import ProblemNote from "~/islands/frame/ProblemNote";
import { sayNumber, t } from "~/messages/say";
import EntryGrid from "./EntryGrid";
import MeasurePicker from "./MeasurePicker";
import { draftFaults, emptyRow, sayFaults, toVisit, type RowEntry, type VisitDraft } from "./entry-draft";
import { dropVisitDraft, keepVisitDraft, keptVisitDraft } from "./kept-visit";
import type { StillValue, TakenStill } from "~/islands/still/StillPanel";
import { island } from "~/islands/frame/island";

const CapturePanel = later(() => import("./CapturePanel"));
const StillPanel = later(() => import("~/islands/still/StillPanel"));
const TablePanel = later(() => import("./TablePanel"));
const TrendPane = later(() => import("./TrendPane"));

/** A new visit: today, with what the next gate needs. */
const fresh = ({ today, battery }: MeasuresView): VisitDraft => ({
  id: uuid(),
  takenOn: today,
  codes: battery.map((entry) => entry.measure),
  rows: {},
});

const mostStills = 4;

/** A visit with values that a still gives, each in the first trial of its measure. */
function withValues(
  draft: VisitDraft,
  values: readonly StillValue[],
  measures: ReadonlyMap<string, Measure>,
): VisitDraft {
  const rows = { ...draft.rows };
  const known = values.flatMap((one) => (measures.has(one.measure) ? [one] : []));
  for (const { measure, side, text } of known) {
    const row = rows[measure] ?? emptyRow(measures.get(measure) as Measure);
    rows[measure] = { ...row, sides: { ...row.sides, [side]: { ...row.sides[side], trials: [text] } } };
  }
  return { ...draft, rows, codes: [...new Set([...draft.codes, ...known.map(({ measure }) => measure)])] };
}

/** The best that is known of a person, on either side: what a gauge is a share of. */
function bestOf({ status }: MeasuresView, { code }: Pick<Measure, "code">): number | null {
  const known = status.find((one) => one.code === code);
  const values = [known?.left, known?.right, known?.none].flatMap((side) => (side ? [side.value] : []));
  return values.length > 0 ? Math.max(...values) : null;
}

/** A visit with what the address asks to be taken, first: `?take=limit-back-flexion`. What is typed already stays. */
function withAsked(draft: VisitDraft, measures: MeasuresView["measures"]): VisitDraft {
  const known = new Set(measures.map(({ code }) => code));
  const asked = new URLSearchParams(location.search).getAll("take").filter((code) => known.has(code));
  return { ...draft, codes: [...new Set([...asked, ...draft.codes])] };
}

interface Props {
  view: MeasuresView;
  /** Where devices answer on the machine of whoever looks at this. */
  devices: string;
}

/** Taking a visit's measures by keyboard, and each of them over time. */
function MeasuresPage({ view: loaded, devices }: Props) {
  const [view, setView] = useState(loaded);
  const measures = useMemo(() => new Map(view.measures.map((m) => [m.code, m])), [view.measures]);
  const [draft, setDraft] = useState<VisitDraft>(() =>
    withAsked(keptVisitDraft(loaded.episodeId) ?? fresh(loaded), loaded.measures),
  );
  const [looking, setLooking] = useState<"front" | "side" | null>(null);
  /** Pictures and points of this visit; values stand in the draft, these are of this page alone until it is recorded. */
  const [stills, setStills] = useState<readonly TakenStill[]>([]);
  const [fromTable, setFromTable] = useState(false);
  const [taking, setTaking] = useState<string | null>(null);
  const [trend, setTrend] = useState<string | null>(null);
  const { send, busy, problem } = useWrite("recordVisit", { id: loaded.episodeId });
  const [notice, setNotice] = useState("");
  const faults = draftFaults(draft, measures);
  const taken = taking === null ? null : (measures.get(taking) ?? null);
  const minutes = draft.codes.reduce((sum, code) => sum + (measures.get(code)?.minutes ?? 0), 0);

  useEffect(() => {
    if (Object.keys(draft.rows).length > 0) keepVisitDraft(loaded.episodeId, draft);
  }, [draft, loaded.episodeId]);

  const add = (code: string) =>
    setDraft((before) =>
      before.codes.includes(code) ? before : { ...before, codes: [...before.codes, code] },
    );
  const changeRow = (code: string, row: RowEntry) =>
    setDraft((before) => ({ ...before, rows: { ...before.rows, [code]: row } }));
  const remove = (code: string) =>
    setDraft((before) => ({ ...before, codes: before.codes.filter((other) => other !== code) }));

  const record = async () => {
    const body = toVisit(draft, measures);
    if (!body) return setNotice(t("measures.nothingTyped"));
    const written = await send(stills.length > 0 ? { ...body, stills: [...stills] } : body);
    if (!written) return;
    dropVisitDraft(view.episodeId);
    setView(written.measures);
    setDraft(fresh(written.measures));
    setStills([]);
    setNotice(t("measures.recorded", { count: body.results.length }));
  };

  return (
    <div className="mx-auto max-w-7xl px-4 py-4">
      <h2 className="sr-only">{t("measures.pageTitle")}</h2>
      <p role="status" className="text-success min-h-6 font-medium" data-testid="measures-notice">
        {notice}
      </p>
      {problem && <ProblemNote problem={problem} />}
      <div className="grid items-start gap-4 lg:grid-cols-[1fr_18rem]">
        <div className="min-w-0">
          <EntryGrid
            view={view}
            measures={measures}
            draft={draft}
            onRow={changeRow}
            onRemove={remove}
            onTrend={setTrend}
            {...(view.mayRecord ? { onTake: setTaking, onStill: setLooking } : {})}
          />
          <div className="mt-3 flex flex-wrap items-center gap-3">
            <label className="flex items-center gap-2">
              <span className="text-sm">{t("measures.takenOn")}</span>
              <input
                type="date"
                className="input w-44"
                max={view.today}
                value={draft.takenOn}
                onChange={(event) => setDraft((before) => ({ ...before, takenOn: event.target.value }))}
              />
            </label>
            {view.mayRecord && (
              <button
                type="button"
                className="btn btn-primary"
                disabled={busy || faults.length > 0 || draft.takenOn === ""}
                onClick={record}
              >
                {t("measures.record")}
              </button>
            )}
            {faults.length > 0 && (
              <span className="text-error text-sm" role="alert">
                {sayFaults(faults, measures)}
              </span>
            )}
            {draft.codes.length > 0 && (
              <span className="text-base-content/75 ml-auto text-sm">
                {t("measures.minutes", { minutes: sayNumber(Math.max(1, Math.round(minutes))) })}
              </span>
            )}
          </div>
          <div className="mt-3 flex flex-wrap gap-2">
            {view.mayRecord && (
              <button
                type="button"
                className="btn btn-sm min-h-11 font-normal"
                onClick={() => setFromTable(true)}
              >
                <FileSpreadsheet className="size-4" aria-hidden />
                {t("measures.fromTable")}
              </button>
            )}
            {(["exportResults", "exportDictionary"] as const).map((name) => (
              <a
                key={name}
                className="btn btn-sm btn-ghost min-h-11 font-normal"
                href={urlOf(name, { id: view.episodeId })}
                download
              >
                <Download className="size-4" aria-hidden />
                {t(name === "exportResults" ? "measures.exportTable" : "measures.exportDictionary")}
              </a>
            ))}
          </div>
        </div>
        <MeasurePicker view={view} measures={measures} chosen={draft.codes} onAdd={add} />
      </div>
      {fromTable && (
        <TablePanel
          view={view}
          measures={measures}
          onDone={(next, count) => {
            setView(next);
            setNotice(t("measures.recorded", { count }));
          }}
          onClose={() => setFromTable(false)}
        />
      )}
      {looking && (
        <StillPanel
          episodeId={view.episodeId}
          view={looking}
          involvedSide={view.involvedSide}
          onDone={(values, still) => {
            setDraft((before) => withValues(before, values, measures));
            setStills((before) => [...before, still].slice(-mostStills));
          }}
          onClose={() => setLooking(null)}
        />
      )}
      {taken && (
        <CapturePanel
          key={taken.code}
          measure={taken}
          row={draft.rows[taken.code] ?? emptyRow(taken)}
          involvedSide={view.involvedSide}
          barredBy={view.barred.find((bar) => bar.measure === taken.code)?.says ?? null}
          best={bestOf(view, taken)}
          address={devices}
          onDone={(row) => changeRow(taken.code, row)}
          onClose={() => setTaking(null)}
        />
      )}
      {trend && (
        <TrendPane
          episodeId={view.episodeId}
          code={trend}
          version={view.version}
          onClose={() => setTrend(null)}
        />
      )}
    </div>
  );
}

export default island(MeasuresPage, ({ view }) => {
  dropVisitDraft(view.episodeId);
  location.reload();
});
