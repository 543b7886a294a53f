import ConditionChips from "~/islands/patient/ConditionChips";
import { FilePen, Printer } from "lucide-react";
import { useState } from "react";
import type { RecordEntry, RecordView } from "~/contract/record";
import { documentKinds } from "~/contract/document-kinds";
import { sayTime, t } from "~/messages/say";
import { call } from "~/islands/frame/call";
import { later } from "~/islands/frame/later";
import EntryBody from "./EntryBody";
import { island } from "~/islands/frame/island";

const ExerciseOverTime = later(() => import("./ExerciseOverTime"));
const ReplayNote = later(() => import("./ReplayNote"));
const DayByDay = later(() => import("./DayByDay"));

type Kind = RecordEntry["kind"];
const kinds: readonly Kind[] = [
  "decision",
  "plan",
  "session",
  "report",
  "measures",
  "stage",
  "turn",
  "school",
  "passing",
  "clearance",
  "signal",
  "suspect",
  "document",
  "event",
  "condition",
  "word",
  "message",
  "harder",
];

/** The record of an episode, newest first. */
function RecordPage({ record: loaded }: { record: RecordView }) {
  const [record, setRecord] = useState(loaded);
  const readAgain = async () => {
    const answer = await call("readRecord", { id: loaded.episodeId });
    if (answer.ok) setRecord(answer.value);
  };
  const [only, setOnly] = useState<Kind | null>(null);
  const [view, setView] = useState<"timeline" | "history" | "days">("timeline");
  const shown = record.entries.filter((entry) => only === null || entry.kind === only);
  const present = kinds.filter((kind) => record.entries.some((entry) => entry.kind === kind));
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
          <button type="button" className="btn" onClick={() => print()}>
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
            onClick={() => setView(code)}
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
            <button type="button" className="btn" aria-pressed={only === null} onClick={() => setOnly(null)}>
              {t("record.all")}
            </button>
            {present.map((kind) => (
              <button
                key={kind}
                type="button"
                className={`btn ${only === kind ? "btn-active" : ""}`}
                aria-pressed={only === kind}
                onClick={() => setOnly(only === kind ? null : kind)}
              >
                {t(`record.${kind}`)}
                <span className="badge badge-neutral badge-sm">
                  {record.entries.filter((entry) => entry.kind === kind).length}
                </span>
              </button>
            ))}
          </div>
          {shown.length === 0 && <p className="mt-6">{t("record.empty")}</p>}
          <ol className="mt-4 flex flex-col gap-2" data-testid="record">
            {shown.map((entry, i) => (
              <li
                key={`${entry.at} ${entry.kind} ${shown.length - i}`}
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
          <ReplayNote record={record} />
        </>
      )}
    </div>
  );
}

export default island(RecordPage);
