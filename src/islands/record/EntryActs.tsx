import { useState } from "react";
import type { RecordEntry, RecordView } from "~/contract/record";
import type { VoidedKind } from "~/core/schema/voided";
import { later } from "~/islands/frame/later";
import { t } from "~/messages/say";

const VoidForm = later(() => import("./VoidForm"));
const ReportForm = later(() => import("~/islands/stair/ReportForm"));

interface Props {
  entry: RecordEntry;
  record: RecordView;
  onChanged: () => void;
}

/** What can be done with an entry that still stands: put right, or taken out of the judgement. */
export default function EntryActs({ entry, record, onChanged }: Props) {
  const [open, setOpen] = useState<"void" | "correct" | null>(null);
  const target = targetOf(entry);
  if (!target) return null;
  const done = () => {
    setOpen(null);
    onChanged();
  };
  const { episodeId, school, mayRecord, maySign } = record;
  return (
    <>
      <div className="flex flex-wrap gap-x-4 print:hidden">
        {entry.kind === "session" && !entry.corrected && mayRecord && (
          <a className={act} href={`/episodes/${episodeId}/session?correct=${target.id}`}>
            {t("record.correct")}
          </a>
        )}
        {entry.kind === "report" && !entry.corrected && mayRecord && (
          <button type="button" className={act} onClick={() => setOpen("correct")}>
            {t("record.correct")}
          </button>
        )}
        {entry.kind === "document" && maySign && (
          <a
            className={act}
            href={`/episodes/${episodeId}/document?kind=${entry.document}&from=${target.id}`}
          >
            {t("record.writeAgain")}
          </a>
        )}
        {maySign && (
          <button type="button" className={act} onClick={() => setOpen("void")}>
            {t("record.void")}
          </button>
        )}
      </div>
      {open === "void" && (
        <VoidForm
          episodeId={episodeId}
          kind={target.kind}
          targetId={target.id}
          onDone={done}
          onCancel={() => setOpen(null)}
        />
      )}
      {open === "correct" && entry.kind === "report" && (
        <ReportForm
          episodeId={episodeId}
          date={entry.trainingDate}
          school={school}
          given={entry}
          onDone={done}
          onCancel={() => setOpen(null)}
        />
      )}
    </>
  );
}

const act = "link inline-flex min-h-11 items-center text-sm";

/** What of an entry can be voided as a whole; nothing of one that is voided already. */
function targetOf(entry: RecordEntry): { kind: VoidedKind; id: string } | null {
  if ("voided" in entry && entry.voided) return null;
  switch (entry.kind) {
    case "session":
      return { kind: "session", id: entry.session.id };
    case "report":
    case "document":
      return { kind: entry.kind, id: entry.id };
    default:
      return null;
  }
}
