import { useForm } from "react-hook-form";
import type { StairView } from "~/contract/episode";
import { painSchoolCodes, type PainSchoolCode } from "~/core/response/pain-school";
import { useWrite } from "~/islands/frame/use-write";
import ProblemNote from "~/islands/frame/ProblemNote";
import { t } from "~/messages/say";
import ReasonField, { reasonRules } from "~/islands/frame/ReasonField";

interface Props {
  stair: StairView;
  previewed: PainSchoolCode | null;
  onPreview: (school: PainSchoolCode | null) => void;
  onSet: (next: StairView) => void;
}

/** The pain school in force and why; the same record under another school; setting another with its reason. */
export default function SchoolBox({ stair, previewed, onPreview, onSet }: Props) {
  const { send, problem } = useWrite("setSchool", { id: stair.episodeId });
  const { register, handleSubmit, formState, reset } = useForm<{ reason: string }>();
  const chosen = previewed ?? stair.schoolInForce;
  const submit = handleSubmit(async ({ reason }) => {
    const written = await send({ school: chosen, reason: reason.trim() }, chosen);
    if (!written) return;
    reset();
    onSet(written.stair);
  });
  return (
    <section className="bg-base-100 border-base-300 rounded-box border p-3" data-testid="school">
      <h2 className="font-semibold">{t("stair.school")}</h2>
      <p className="text-sm">
        {t("schoolForm.current", { school: t(`school.${stair.schoolInForce}`), reason: stair.schoolReason })}
      </p>
      <div className="mt-2 flex flex-wrap gap-1" role="group" aria-label={t("stair.preview")}>
        {painSchoolCodes.map((code) => (
          <button
            key={code}
            type="button"
            aria-pressed={chosen === code}
            className={`btn ${chosen === code ? "btn-neutral" : ""}`}
            onClick={() => onPreview(code)}
          >
            {t(`school.${code}`)}
          </button>
        ))}
      </div>
      <p className="text-base-content/80 mt-1 text-sm">{t(`school.allows.${chosen}`)}</p>
      <a
        className="link inline-flex min-h-11 items-center text-sm"
        href={`/episodes/${stair.episodeId}/schools`}
      >
        {t("schools.open")}
      </a>
      {previewed && stair.maySign && (
        <form onSubmit={submit} className="mt-2 flex flex-col gap-2">
          <ProblemNote problem={problem} />
          <ReasonField
            label={t("schoolForm.reason")}
            field={register("reason", reasonRules)}
            invalid={!!formState.errors.reason}
          />
          <button className="btn btn-primary self-start" disabled={formState.isSubmitting}>
            {t("schoolForm.save")}
          </button>
        </form>
      )}
    </section>
  );
}
