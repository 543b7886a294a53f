import { useEffect } from "react";
import { FormProvider, useForm, useWatch } from "react-hook-form";
import type { PlanView } from "~/contract/plan";
import { firstPrescription, variantOf, type Exercise } from "~/core/exercise/exercise";
import { itemRoles } from "~/core/exercise/role";
import FormFeet from "~/islands/frame/FormFeet";
import ProblemNote from "~/islands/frame/ProblemNote";
import ReasonField from "~/islands/frame/ReasonField";
import { useWrite } from "~/islands/frame/use-write";
import { sayField } from "~/islands/prescribe/field-words";
import PrescriptionFields from "~/islands/prescribe/PrescriptionFields";
import {
  isReadable,
  openedOn,
  prescriptionOf,
  type PrescribeFields,
} from "~/islands/prescribe/prescribe-draft";
import { sayDose } from "~/messages/say-dose";
import { t } from "~/messages/say";

interface Props {
  plan: PlanView;
  exercise: Exercise;
  variantId: string;
  onCancel: () => void;
  onAdded: (next: PlanView) => void;
}

/** An exercise joins the plan with any dose, setting, leg and role; one that is in it already, in another setting. */
export default function AddWithDose({ plan, exercise, variantId, onCancel, onAdded }: Props) {
  const first = firstPrescription(variantOf(exercise, variantId));
  const form = useForm<PrescribeFields>({ defaultValues: openedOn(first) });
  const { control, register, getValues, handleSubmit, setFocus } = form;
  // Whoever opened it goes on typing here.
  useEffect(() => {
    setFocus("line");
  }, [setFocus]);
  const draft = useWatch({ control }) as PrescribeFields;
  const { send, busy, problem } = useWrite("addItem", { id: plan.episodeId });
  const wanted = prescriptionOf(draft);
  const readable = isReadable(wanted);
  const against = (problem?.changed as { against?: string[] } | undefined)?.against;

  const add = async (isMeant: boolean) => {
    const { reason, role, ...rest } = getValues();
    const prescription = prescriptionOf(rest);
    const written = await send(
      {
        ...prescription,
        exerciseId: exercise.id,
        ...(role === "main" ? {} : { role }),
        ...(against && reason.trim() ? { against: reason.trim() } : {}),
        ...(isMeant ? { meant: true } : {}),
      },
      `${JSON.stringify(prescription)} ${role}`,
    );
    if (written) onAdded(written.plan);
  };

  return (
    <FormProvider {...form}>
      <form
        className="bg-base-200 mt-2 flex flex-col gap-3 rounded-md p-2"
        data-testid="add-with-dose"
        onSubmit={(event) => void handleSubmit(() => add(false))(event)}
      >
        <p className="font-semibold">{exercise.name}</p>
        <PrescriptionFields
          exercise={exercise}
          involvedSide={plan.involvedSide}
          heightM={plan.heightM}
          takesRole
        />
        <fieldset className="flex flex-wrap gap-x-4 text-sm">
          <legend className="font-medium">{t("plan.addRole")}</legend>
          {itemRoles.map((code) => (
            <label key={code} className="flex min-h-11 cursor-pointer items-center gap-2">
              <input type="radio" className="radio" value={code} {...register("role")} />
              {t(`role.${code}`)}
            </label>
          ))}
        </fieldset>
        {against && (
          <ReasonField label={t("plan.againstReason")} field={register("reason")} invalid={false} />
        )}
        <ProblemNote problem={problem} sayPath={sayField} onMeant={() => void add(true)} />
        <p className="text-lg font-semibold" aria-live="polite" data-testid="prescribed">
          {readable ? sayDose(wanted, null) : t("prescribe.unread")}
        </p>
        <FormFeet
          submit={against ? t("plan.againstSign") : t("plan.add")}
          disabled={busy || !readable}
          onCancel={onCancel}
        />
      </form>
    </FormProvider>
  );
}
