import ConditionChips from "~/islands/patient/ConditionChips";
import { FilePen, Printer } from "lucide-react";
import { useState } from "react";
import type { RecordEntry, RecordView } from "~/contract/record";
import { recordKinds } from "~/contract/record-kinds";
import { documentKinds } from "~/contract/document-kinds";
import { sayTime, t } from "~/messages/say";
import { later } from "~/islands/frame/later";
import EntryBody from "./EntryBody";
import { useRecord } from "./use-record";
import { island } from "~/islands/frame/island";
import { useNear } from "~/islands/frame/use-near";

const ExerciseOverTime = later(() => import("./ExerciseOverTime"));
const ReplayNote = later(() => import("./ReplayNote"));
const DayByDay = later(() => import("./DayByDay"));

/** The record of an episode, newest first. */
function RecordPage({ record: loaded }: { record: RecordView }) {
  const { record, only, show, readAgain, readMore, readAll } = useRecord(loaded);
  const [view, setView] = useState<"timeline" | "history" | "days">("timeline");
  const foot = useNear(() => void readMore());
  const { entries, counts } = record;
  const present = recordKinds.filter((kind) => counts[kind]);
  const all = only === null ? Object.values(counts).reduce((sum, n) => sum + n, 0) : (counts[only] ?? 0);
  const keys = entryKeys(entries);
  /** One exercise over time, and what is printed, are made of the whole record. */
  const open = async (code: typeof view) => {
    if (code !== "history" || (await readAll())) setView(code);
  };
  return (
    <div className="mx-auto max-w-6xl px-4 py-4">
      <div className="flex flex-wrap items-center gap-3">
        <h2 className="text-xl font-bold">{t("record.title")}</h2>
        <p className="hidden print:block">
          {record.person.givenName} {record.person.familyName} · {record.person.activity}
        </p>
        <div className="hidden print:block">
          <ConditionChips conditions={record.person.conditions} />
        </div>
        <div className="ml-auto flex flex-wrap gap-2 print:hidden">
          <a className="btn" href={`/api/episodes/${record.episodeId}/case`} download>
            {t("stair.export")}
          </a>
          <button
            type="button"
            className="btn"
            onClick={() => void readAll().then(() => setTimeout(() => print()))}
          >
            <Printer className="size-5" aria-hidden />
            {t("record.print")}
          </button>
          {documentKinds.map((kind) => (
            <a key={kind} className="btn" href={`/episodes/${record.episodeId}/document?kind=${kind}`}>
              <FilePen className="size-5" aria-hidden />
              {t(`document.${kind}`)}
            </a>
          ))}
        </div>
      </div>
      <div className="mt-3 flex flex-wrap gap-1 print:hidden" role="group" aria-label={t("record.title")}>
        {(["timeline", "history", "days"] as const).map((code) => (
          <button
            key={code}
            type="button"
            className={`btn ${view === code ? "btn-neutral" : ""}`}
            aria-pressed={view === code}
            onClick={() => void open(code)}
          >
            {t(`record.${code}`)}
          </button>
        ))}
      </div>
      {view === "days" ? (
        <DayByDay record={record} />
      ) : view === "history" ? (
        <ExerciseOverTime record={record} />
      ) : (
        <>
          <div
            className="mt-3 flex flex-wrap gap-1 print:hidden"
            role="group"
            aria-label={t("record.filter")}
          >
            <button type="button" className="btn" aria-pressed={only === null} onClick={() => show(null)}>
              {t("record.all")}
            </button>
            {present.map((kind) => (
              <button
                key={kind}
                type="button"
                className={`btn ${only === kind ? "btn-active" : ""}`}
                aria-pressed={only === kind}
                onClick={() => show(only === kind ? null : kind)}
              >
                {t(`record.${kind}`)}
                <span className="badge badge-neutral badge-sm">{counts[kind]}</span>
              </button>
            ))}
          </div>
          {entries.length === 0 && <p className="mt-6">{t("record.empty")}</p>}
          <ol className="mt-4 flex flex-col gap-2" data-testid="record">
            {entries.map((entry) => (
              <li
                key={keys.get(entry)}
                className="bg-base-100 border-base-300 grid gap-x-4 gap-y-1 rounded-lg border px-3 py-2 sm:grid-cols-[10.5rem_1fr]"
                data-kind={entry.kind}
              >
                <div className="text-sm">
                  <p className="font-semibold">{t(`record.${entry.kind}`)}</p>
                  <p className="text-base-content/80">{sayTime(entry.at, record.zone)}</p>
                  <p className="text-base-content/80">{entry.by}</p>
                </div>
                <div className="min-w-0">
                  <EntryBody entry={entry} record={record} onChanged={() => void readAgain()} />
                </div>
              </li>
            ))}
          </ol>
          {record.next !== null && (
            <>
              <button
                ref={foot}
                type="button"
                className="btn mt-3 w-full print:hidden"
                onClick={() => void readMore()}
              >
                {t("record.older", { shown: entries.length, all })}
              </button>
              <p className="mt-3 hidden print:block">{t("record.notAll", { shown: entries.length, all })}</p>
            </>
          )}
          <ReplayNote record={record} />
        </>
      )}
    </div>
  );
}

/** What an entry is known by while the record grows at its head and its foot: its instant and kind, and which of those it is. */
function entryKeys(entries: readonly RecordEntry[]): ReadonlyMap<RecordEntry, string> {
  const seen = new Map<string, number>();
  return new Map(
    entries.map((entry) => {
      const alike = `${entry.at} ${entry.kind}`;
      const n = (seen.get(alike) ?? 0) + 1;
      seen.set(alike, n);
      return [entry, `${alike} ${n}`];
    }),
  );
}

export default island(RecordPage);
