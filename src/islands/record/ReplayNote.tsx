import { useEffect, useState } from "react";
import type { RecordView } from "~/contract/record";
import type { Replay } from "~/core/review/replay-decisions";
import { localDay } from "~/core/schedule/local-day";
import { call } from "~/islands/frame/call";
import { sayDate, t } from "~/messages/say";
import { exerciseName } from "./EntryBody";

/** Whether every signed proposal comes out of the record again as it was signed, and which ones do not. */
export default function ReplayNote({ record }: { record: RecordView }) {
  const [replay, setReplay] = useState<Replay | null>(null);
  useEffect(() => {
    void call("replayDecisions", { id: record.episodeId }).then((answer) => {
      if (answer.ok) setReplay(answer.value);
    });
  }, [record.episodeId]);
  if (!replay || replay.decisions.length === 0) return null;
  const others = replay.decisions.filter(({ same }) => !same);
  return (
    <section className="text-base-content/80 mt-4 text-sm" data-testid="replay">
      <p>
        {t("record.replay", {
          same: replay.decisions.length - others.length,
          all: replay.decisions.length,
          version: replay.engineVersion,
        })}
      </p>
      <ul className="list-disc pl-5">
        {others.map(({ decisionId, at, itemId, stored, replayed, storedEngine }) => (
          <li key={decisionId}>
            {t("record.replayDiffers", {
              date: sayDate(localDay(at, record.zone)),
              exercise: exerciseName(record, itemId),
              stored: t(`outcome.${stored.outcome}`),
              engine: storedEngine,
              now: replayed ? t(`outcome.${replayed.outcome}`) : "–",
            })}
          </li>
        ))}
      </ul>
    </section>
  );
}
