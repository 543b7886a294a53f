import { useState } from "react";
import type { RecordEntry, RecordView } from "~/contract/record";
import { later } from "~/islands/frame/later";
import { label, sayQuantity, t } from "~/messages/say";
import VoidedNote from "./VoidedNote";

const VoidForm = later(() => import("./VoidForm"));
const ResultForm = later(() => import("./ResultForm"));

type Result = Extract<RecordEntry, { kind: "measures" }>["results"][number];

interface Props {
  one: Result;
  record: RecordView;
  onChanged: () => void;
}

/** One result of a visit, and what can be done with it: put right, or taken out of the judgement. */
export default function OneResult({ one, record, onChanged }: Props) {
  const [open, setOpen] = useState<"void" | "correct" | null>(null);
  const { result, name, unit, corrected, voided } = one;
  const called = result.side === "none" ? name : `${name}, ${label("side", result.side)}`;
  const line = (
    <>
      {called}: <strong>{sayQuantity(result.value, unit)}</strong>
    </>
  );
  const done = () => {
    setOpen(null);
    onChanged();
  };
  const stands = !voided && !corrected;
  return (
    <>
      <span className="flex flex-wrap items-center gap-x-4">
        <span className={stands ? "" : "line-through opacity-75"}>{line}</span>
        {corrected && <span className="text-sm font-semibold">{t("record.corrected")}</span>}
        {stands && record.mayRecord && (
          <button
            type="button"
            className={act}
            aria-label={t("record.correctResult", { measure: called })}
            onClick={() => setOpen("correct")}
          >
            {t("record.correct")}
          </button>
        )}
        {stands && record.maySign && (
          <button
            type="button"
            className={act}
            aria-label={t("record.voidResult", { measure: called })}
            onClick={() => setOpen("void")}
          >
            {t("record.void")}
          </button>
        )}
      </span>
      {voided && <VoidedNote voided={voided} zone={record.zone} />}
      {open === "void" && (
        <VoidForm
          episodeId={record.episodeId}
          kind="result"
          targetId={result.id}
          onDone={done}
          onCancel={() => setOpen(null)}
        />
      )}
      {open === "correct" && (
        <ResultForm one={one} episodeId={record.episodeId} onDone={done} onCancel={() => setOpen(null)} />
      )}
    </>
  );
}

const act = "link inline-flex min-h-11 items-center text-sm print:hidden";
