import { Undo2 } from "lucide-react";
import type { PlanUndo, PlanView } from "~/contract/plan";
import ProblemNote from "~/islands/frame/ProblemNote";
import { useWrite } from "~/islands/frame/use-write";
import { t } from "~/messages/say";

interface Props {
  plan: PlanView;
  undo: PlanUndo;
  onChanged: (next: PlanView, said: string) => void;
}

/** What was done to the plan last, and one tap that takes it back; there until the next act. Both stay in the record. */
export default function UndoLine({ plan, undo: { act, itemId, name }, onChanged }: Props) {
  const values = { id: plan.episodeId };
  const back = useWrite("putBackItem", values);
  const out = useWrite("endItem", values);
  const problem = back.problem ?? out.problem;
  const takeBack = async () => {
    // Every taking out is another intent, though it is the same exercise.
    const about = `${itemId} ${plan.version}`;
    const written =
      act === "taken-out"
        ? await back.send({ itemId }, about)
        : await out.send({ itemId, reason: t("plan.undoReason") }, about);
    if (written) onChanged(written.plan, t(`plan.undone.${act}`, { exercise: name }));
  };
  return (
    <div
      className="bg-base-100 border-base-content/40 rounded-box sticky top-2 z-10 flex flex-wrap items-center gap-x-3 gap-y-1 border px-3 py-1 shadow"
      data-testid="undo"
    >
      <ProblemNote problem={problem} />
      <span className="min-w-0 flex-1">{t(`plan.undo.${act}`, { exercise: name })}</span>
      <button type="button" className="btn" disabled={back.busy || out.busy} onClick={() => void takeBack()}>
        <Undo2 className="size-5" aria-hidden /> {t("plan.undo")}
      </button>
    </div>
  );
}
