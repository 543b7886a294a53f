import { useState } from "react";
import type { RecordEntry, RecordView } from "~/contract/record";
import { exerciseHistory } from "~/core/session/exercise-history";
import { t } from "~/messages/say";
import HistoryChart from "./HistoryChart";

type Of<K extends RecordEntry["kind"]> = Extract<RecordEntry, { kind: K }>;
const is =
  <K extends RecordEntry["kind"]>(kind: K) =>
  (entry: RecordEntry): entry is Of<K> =>
    entry.kind === kind;

/** One exercise of the record over time: its work, its pain, and what was turned when. */
export default function ExerciseOverTime({ record }: { record: RecordView }) {
  const sessions = record.entries.filter(is("session")).filter((entry) => !entry.corrected && !entry.voided);
  const done = record.items.filter(({ itemId }) =>
    sessions.some(({ session }) => session.items.some((item) => item.itemId === itemId)),
  );
  const [chosen, setChosen] = useState(done[0]?.itemId ?? "");
  const item = record.items.find(({ itemId }) => itemId === chosen);
  if (!item) return <p className="mt-4">{t("history.empty")}</p>;
  const reports = new Map(
    [...record.entries.filter(is("report")).filter((entry) => !entry.voided)]
      .reverse()
      .map(({ trainingDate, pain }) => [trainingDate, pain]),
  );
  const history = exerciseHistory(
    sessions.map(({ session }) => ({
      at: session.at,
      sets: session.items.filter(({ itemId }) => itemId === chosen).flatMap(({ sets }) => sets),
    })),
    reports,
    { dose: item.dose, involvedSide: record.involvedSide, zone: record.zone },
  );
  const decisions = record.entries
    .filter(is("decision"))
    .map(({ decision }) => decision)
    .filter(({ itemId }) => itemId === chosen);
  return (
    <section
      className="bg-base-100 border-base-300 rounded-box mt-4 border p-3"
      aria-label={t("record.history")}
    >
      <label className="flex flex-wrap items-center gap-2 text-sm font-medium">
        {t("history.choose")}
        <select
          className="select w-96 max-w-full"
          value={chosen}
          onChange={(event) => setChosen(event.target.value)}
        >
          {done.map(({ itemId, name }) => (
            <option key={itemId} value={itemId}>
              {name}
            </option>
          ))}
        </select>
      </label>
      <div className="mt-2">
        <HistoryChart name={item.name} history={history} decisions={decisions} zone={record.zone} />
      </div>
    </section>
  );
}
