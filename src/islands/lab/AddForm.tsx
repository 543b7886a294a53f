import type { StairView } from "~/contract/episode";
import type { LabSubject } from "./lab-subject";
import type { Prescription } from "~/core/exercise/prescription";
import ProblemNote from "~/islands/frame/ProblemNote";
import { useWrite } from "~/islands/frame/use-write";
import { sayField } from "~/islands/prescribe/field-words";
import { t } from "~/messages/say";

interface Props {
  stair: StairView;
  subject: LabSubject;
  wanted: Prescription;
}

/** Puts an exercise of the library into the plan in the form that is looked at, and goes on there. */
export default function AddForm({ stair, subject, wanted }: Props) {
  const { send, busy, problem } = useWrite("addItem", { id: stair.episodeId });
  if (!stair.maySign) return <p className="text-sm">{t("lab.onlyClinician")}</p>;
  const add = async (isMeant: boolean) => {
    const { variantId, settings, dose } = wanted;
    const written = await send(
      { exerciseId: subject.exercise.id, variantId, settings, dose, ...(isMeant ? { meant: true } : {}) },
      `lab ${JSON.stringify(wanted)}`,
    );
    if (written) location.assign(`/episodes/${stair.episodeId}/plan`);
  };
  return (
    <div className="flex flex-col gap-2">
      <ProblemNote problem={problem} sayPath={sayField} onMeant={() => void add(true)} />
      <button
        type="button"
        className="btn btn-primary self-start"
        disabled={busy}
        onClick={() => void add(false)}
      >
        {t("lab.add")}
      </button>
    </div>
  );
}
