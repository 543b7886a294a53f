import type { StairView } from "~/contract/episode";
import { painSchoolCodes, type PainSchoolCode } from "~/core/response/pain-school";
import { t } from "~/messages/say";
import ReasonForm from "~/islands/frame/ReasonForm";

interface Props {
  stair: StairView;
  previewed: PainSchoolCode | null;
  onPreview: (school: PainSchoolCode | null) => void;
  onSet: (next: StairView) => void;
}

/** The pain school in force and why; the same record under another school; setting another with its reason. */
export default function SchoolBox({ stair, previewed, onPreview, onSet }: Props) {
  const chosen = previewed ?? stair.schoolInForce;
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
      {previewed && stair.maySign && !stair.resting && (
        <ReasonForm
          write="setSchool"
          values={{ id: stair.episodeId }}
          body={(reason) => ({ school: chosen, reason })}
          about={chosen}
          label={t("schoolForm.reason")}
          submit={t("schoolForm.save")}
          onDone={(written) => onSet(written.stair)}
        />
      )}
    </section>
  );
}
