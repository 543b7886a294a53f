import type { RecordEntry, RecordView } from "~/core/interchange/contract";
import { label, sayDate, sayNumber, t } from "~/messages/say";
import DecisionBody from "./DecisionBody";
import { saySets } from "./say-sets";

type Of<K extends RecordEntry["kind"]> = Extract<RecordEntry, { kind: K }>;
type Bodies = { [K in RecordEntry["kind"]]: (entry: Of<K>, record: RecordView) => React.ReactNode };

/** How each kind of entry is told. */
const bodies: Bodies = {
  session: ({ session }, record) => (
    <>
      <p>{t("record.sessionLine", { pain: session.painBefore, minutes: session.minutes ?? 0 })}</p>
      <ul className="list-disc pl-5">
        {session.items.map((done) => (
          <li key={done.itemId}>{saySets(exerciseName(record, done.itemId), done.sets)}</li>
        ))}
      </ul>
    </>
  ),
  report: ({ trainingDate, pain, stiffnessMinutes, swelling, late }) => (
    <p>
      {t("record.reportLine", {
        date: sayDate(trainingDate),
        pain,
        stiff: stiffnessMinutes === null ? "" : t("record.stiff", { minutes: stiffnessMinutes }),
        swelling: swelling === null ? "" : t("record.swelling", { swelling: label("report", swelling) }),
        late: late ? t("record.late") : "",
      })}
    </p>
  ),
  decision: ({ decision }, record) => <DecisionBody decision={decision} record={record} />,
  stage: ({ stageName, reason }) => <p>{t("record.stageLine", { stage: stageName, reason })}</p>,
  school: ({ school, reason }) => <p>{t("record.schoolLine", { school: t(`school.${school}`), reason })}</p>,
  clearance: ({ itemId, reason }, record) => (
    <p>
      {exerciseName(record, itemId)}: {reason}
    </p>
  ),
  measures: ({ results }) => (
    <ul>
      {results.map((result, i) => (
        <li key={i}>
          {result.name}
          {result.side === "none" ? "" : `, ${label("side", result.side)}`}:{" "}
          <strong>{`${sayNumber(result.value)} ${label("unit", result.unit)}`.trim()}</strong>
        </li>
      ))}
    </ul>
  ),
};

export default function EntryBody({ entry, record }: { entry: RecordEntry; record: RecordView }) {
  return bodies[entry.kind](entry as never, record);
}

export function exerciseName(record: RecordView, itemId: string): string {
  return record.items.find((item) => item.itemId === itemId)?.exercise.name ?? "";
}
