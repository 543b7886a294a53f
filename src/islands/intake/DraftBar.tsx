import { X } from "lucide-react";
import { useState } from "react";
import type { DraftList } from "~/contract/intake";
import type { Problem } from "~/contract/problem";
import { call } from "~/islands/frame/call";
import ProblemNote from "~/islands/frame/ProblemNote";
import { sayTime, t } from "~/messages/say";

type Draft = DraftList["drafts"][number];

export interface DraftBarProps {
  drafts: readonly Draft[];
  zone: string;
  onResume: (draft: Draft) => void;
}

/** Intakes that were begun: to be gone on with, or thrown away; what was thrown away comes back with a tap until the next act. */
export default function DraftBar({ drafts: loaded, zone, onResume }: DraftBarProps) {
  const [drafts, setDrafts] = useState(loaded);
  const [dropped, setDropped] = useState<Draft | null>(null);
  const [problem, setProblem] = useState<Problem | null>(null);
  const drop = async (draft: Draft) => {
    const answer = await call("dropIntakeDraft", {}, { id: draft.id });
    setProblem(answer.ok ? null : answer.problem);
    if (!answer.ok) return;
    setDrafts((all) => all.filter(({ id }) => id !== draft.id));
    setDropped(draft);
  };
  const bringBack = async ({ id, label, body }: Draft) => {
    const answer = await call("keepIntakeDraft", {}, { id, label, body });
    setProblem(answer.ok ? null : answer.problem);
    if (!answer.ok) return;
    if (dropped) setDrafts((all) => [dropped, ...all]);
    setDropped(null);
  };
  if (drafts.length === 0 && !dropped) return null;
  return (
    <div className="mt-2 flex flex-wrap items-center gap-2" data-testid="drafts">
      <ProblemNote problem={problem} />
      {drafts.length > 0 && <span className="text-sm">{t("intake.resume")}</span>}
      {drafts.map((draft) => (
        <div key={draft.id} className="join">
          <button
            type="button"
            className="btn bg-base-100 border-base-300 join-item"
            onClick={() => {
              setDropped(null);
              onResume(draft);
            }}
          >
            {draft.label}, {sayTime(draft.savedAt, zone)}
          </button>
          <button
            type="button"
            className="btn btn-square bg-base-100 border-base-300 join-item"
            aria-label={t("intake.drop", { name: draft.label })}
            onClick={() => void drop(draft)}
          >
            <X className="size-5" aria-hidden />
          </button>
        </div>
      ))}
      {dropped && (
        <p role="status" className="flex items-center gap-2 text-sm font-medium">
          {t("intake.dropped", { name: dropped.label })}
          <button type="button" className="btn" onClick={() => void bringBack(dropped)}>
            {t("intake.undrop")}
          </button>
        </p>
      )}
    </div>
  );
}
