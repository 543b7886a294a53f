import { useState } from "react";
import { doseMinutes } from "~/core/dose/dose-minutes";
import type { LibraryPatient } from "~/contract/library";
import { firstPrescription, variantOf, type Exercise } from "~/core/exercise/exercise";
import { sidesOf } from "~/core/exercise/sides-of";
import ExerciseFigure from "~/islands/figure/ExerciseFigure";
import { usualHeightM } from "~/core/pose/usual-height";
import { useWrite } from "~/islands/frame/use-write";
import ProblemNote from "~/islands/frame/ProblemNote";
import { sayDose } from "~/messages/say-dose";
import { sayNumber, t } from "~/messages/say";
import ComparePanel from "./ComparePanel";
import ExerciseActivity from "./ExerciseActivity";
import ExerciseFacts from "./ExerciseFacts";
import FigureFor from "./FigureFor";
import { turnedTo } from "./knob-values";
import KnobPanel from "./KnobPanel";
import NextSteps from "./NextSteps";
import ProgressionRun from "./ProgressionRun";
import { island } from "~/islands/frame/island";

interface Props {
  exercise: Exercise;
  variantId: string;
  own: boolean;
  mayEdit: boolean;
  patient: LibraryPatient | null;
  names: readonly (readonly [id: string, name: string])[];
}

/** One exercise: its figure in motion, every knob live, how it is taught, and where it stands in its progression. */
function ExercisePage({ exercise, variantId, own, mayEdit, patient: known, names }: Props) {
  const start = () => firstPrescription(variantOf(exercise, variantId));
  const [prescription, setPrescription] = useState(start);
  const [heightM, setHeightM] = useState(known?.heightM ?? usualHeightM);
  const [side, setSide] = useState<"left" | "right">(known?.involvedSide === "left" ? "left" : "right");
  const [patient, setPatient] = useState(known);
  const { send, problem } = useWrite("addItem", { id: known?.episodeId ?? "" });
  const [notice, setNotice] = useState("");
  const variant = variantOf(exercise, prescription.variantId);
  const { minutes } = doseMinutes({ dose: prescription.dose, sides: sidesOf(exercise, prescription) });
  const name = patient ? `${patient.person.givenName} ${patient.person.familyName}` : "";
  const choose = (id: string) => {
    setPrescription(firstPrescription(variantOf(exercise, id)));
    const address = new URL(location.href);
    address.searchParams.set("variant", id);
    history.replaceState(null, "", address);
  };

  const add = async () => {
    if (!patient) return;
    const { variantId: chosen, settings, dose } = prescription;
    const written = await send({ exerciseId: exercise.id, variantId: chosen, settings, dose }, chosen);
    if (!written) return;
    setNotice(t("exercise.added"));
    setPatient({ ...patient, inPlan: [...patient.inPlan, exercise.id] });
  };

  return (
    <div className="mx-auto max-w-7xl px-4 py-4">
      <div className="flex flex-wrap items-end gap-x-4 gap-y-2">
        <div className="min-w-0">
          <h1 className="text-2xl leading-tight font-bold">{exercise.name}</h1>
          <p className="text-lg" data-testid="variant-name">
            {variant.name}{" "}
            <span className="text-base-content/80 text-base">· {t(`lane.${exercise.lane}`)}</span>
            {own && <span className="badge badge-sm ml-2">{t("plan.own")}</span>}
          </p>
        </div>
        <span className="ml-auto" />
        {patient?.maySign &&
          (patient.inPlan.includes(exercise.id) ? (
            <span className="text-success font-semibold" role="status">
              {notice || t("exercise.inPlan", { name })}
            </span>
          ) : (
            <button type="button" className="btn btn-primary" onClick={add}>
              {t("exercise.addToPlan", { name })}
            </button>
          ))}
        {patient && (
          <a
            className="btn bg-base-100 border-base-300"
            href={`/episodes/${patient.episodeId}/lab?exercise=${exercise.id}&variant=${variant.id}`}
          >
            {t("exercise.loads")}
          </a>
        )}
        {mayEdit && !patient && (
          <>
            {own && (
              <a className="btn bg-base-100 border-base-300" href={`/library/${exercise.id}/edit`}>
                {t("exercise.edit")}
              </a>
            )}
            <a className="btn bg-base-100 border-base-300" href={`/library/new?from=${exercise.id}`}>
              {t("exercise.copy")}
            </a>
          </>
        )}
        <a
          className="btn bg-base-100 border-base-300"
          href={patient ? `/episodes/${patient.episodeId}/library?lane=${exercise.lane}` : "/library"}
        >
          {t("library.back")}
        </a>
      </div>
      {problem && <ProblemNote problem={problem} />}
      {exercise.caution && (
        <p className="border-warning bg-base-100 mt-2 border-l-4 px-3 py-1">
          <strong>{t("exercise.caution")}:</strong> {exercise.caution}
        </p>
      )}
      <div className="mt-3 grid items-start gap-4 lg:grid-cols-[1fr_24rem]">
        <div className="bg-base-100 border-base-300 rounded-box min-w-0 border p-3">
          <ExerciseFigure
            exercise={exercise}
            prescription={prescription}
            dose={prescription.dose}
            heightM={heightM}
            side={side}
            label={t("figure.of", { exercise: exercise.name, variant: variant.name })}
            className="h-72 sm:h-80"
          />
          <FigureFor
            heightM={heightM}
            side={side}
            measured={!known || known.heightM !== null}
            onHeight={setHeightM}
            onSide={setSide}
          />
        </div>
        <div className="bg-base-100 border-base-300 rounded-box border p-3">
          <p className="mb-2 text-lg" data-testid="dose">
            <strong>{sayDose(prescription, null)}</strong>{" "}
            <span className="whitespace-nowrap">
              · {t("exercise.minutes", { minutes: sayNumber(Math.round(minutes * 2) / 2) })}
            </span>
          </p>
          <KnobPanel
            exercise={exercise}
            prescription={prescription}
            onTurn={(knob, value) => setPrescription(turnedTo(exercise, prescription, knob, value))}
            onReset={() => setPrescription(firstPrescription(variant))}
          />
          <NextSteps exercise={exercise} prescription={prescription} />
        </div>
      </div>
      <div className="mt-3">
        <ProgressionRun
          exercise={exercise}
          chosen={variant.id}
          heightM={heightM}
          side={side}
          onChoose={choose}
        />
      </div>
      <div className="mt-3 grid items-start gap-4 lg:grid-cols-2">
        <div className="bg-base-100 border-base-300 rounded-box border p-3">
          <ExerciseFacts
            exercise={exercise}
            variant={variant}
            nameOf={(id) => names.find(([code]) => code === id)?.[1] ?? id}
          />
        </div>
        <div className="flex min-w-0 flex-col gap-4">
          <ComparePanel
            exercise={exercise}
            prescription={prescription}
            names={names}
            heightM={heightM}
            side={side}
          />
          <ExerciseActivity exercise={exercise} />
        </div>
      </div>
    </div>
  );
}

export default island(ExercisePage);
