import { useState } from "react";
import { FormProvider, useForm } from "react-hook-form";
import type { PlanView } from "~/contract/plan";
import { bareHome, fullGym } from "~/core/exercise/kit";
import { useWrite } from "~/islands/frame/use-write";
import { limitField, toLimit, type LimitField } from "~/islands/intake/limit-field";
import { LimitsSection } from "~/islands/intake/SafetySections";
import ProblemNote from "~/islands/frame/ProblemNote";
import ReasonField from "~/islands/frame/ReasonField";
import { reasonRules } from "~/islands/frame/reason-rules";
import { asTyped, shelfTyped } from "~/islands/shelf/LoadsFields";
import { t } from "~/messages/say";
import WeightsAtHand from "./WeightsAtHand";

interface Props {
  plan: PlanView;
  onChanged: (next: PlanView, said: string) => void;
}

interface Fields {
  days: number;
  minutes: number;
  place: "keep" | "home" | "gym";
  cannotFloor: boolean;
  limits: LimitField[];
  reason: string;
}

const kitOf = (place: Fields["place"], before: PlanView["circumstances"]): readonly string[] =>
  ({ keep: before?.kit ?? bareHome, home: bareHome, gym: fullGym })[place];

/** What the plan must fit into from now on: days, minutes, kit, the floor, the surgeon's limits. Items that no longer fit then say so. */
export default function CircumstancesForm({ plan, onChanged }: Props) {
  const before = plan.circumstances;
  const limits = before?.limits ?? [];
  const form = useForm<Fields>({
    defaultValues: {
      days: before?.daysPerWeek ?? 3,
      minutes: before?.minutesPerDay ?? 30,
      place: before ? "keep" : "home",
      cannotFloor: before ? !before.reachesFloor : false,
      limits: limits.flatMap((limit) => limitField(limit) ?? []),
    },
  });
  const { register, handleSubmit, formState, watch } = form;
  const [weights, setWeights] = useState(asTyped(before?.shelfKg ?? {}));
  const kit = kitOf(watch("place"), before);
  const shelfKg = shelfTyped(weights);
  const { send, problem } = useWrite("setCircumstances", { id: plan.episodeId });
  const submit = handleSubmit(async ({ days, minutes, cannotFloor, limits: lines, reason }) => {
    if (shelfKg === null) return;
    const loads = Object.fromEntries(Object.entries(shelfKg).filter(([code]) => kit.includes(code)));
    const body = {
      reason: reason.trim(),
      circumstances: {
        // Limits that the form cannot show stay as they are.
        limits: [...limits.filter((limit) => limitField(limit) === null), ...lines.map(toLimit)],
        cannotPositions: before?.cannotPositions ?? [],
        reachesFloor: !cannotFloor,
        daysPerWeek: days,
        minutesPerDay: minutes,
        kit: [...kit],
        ...(Object.keys(loads).length > 0 ? { shelfKg: loads } : {}),
      },
    };
    const written = await send(body);
    if (written) onChanged(written.plan, t("plan.circumstancesSaved"));
  });
  return (
    <details className="bg-base-100 border-base-300 rounded-box border p-3" data-testid="circumstances">
      <summary className="min-h-11 cursor-pointer py-2 font-semibold">{t("plan.circumstances")}</summary>
      <form onSubmit={submit} className="grid grid-cols-2 gap-2">
        <label className="text-sm">
          {t("intake.days")}
          <input
            className="input w-full"
            type="number"
            min={1}
            max={7}
            {...register("days", { valueAsNumber: true })}
          />
        </label>
        <label className="text-sm">
          {t("intake.minutes")}
          <input
            className="input w-full"
            type="number"
            min={5}
            max={180}
            {...register("minutes", { valueAsNumber: true })}
          />
        </label>
        <label className="text-sm">
          {t("plan.kit")}
          <select className="select w-full" {...register("place")}>
            {before && <option value="keep">{t("plan.kitKeep")}</option>}
            <option value="home">{t("plan.kit.home")}</option>
            <option value="gym">{t("intake.place.gym")}</option>
          </select>
        </label>
        <label className="flex min-h-11 items-center gap-2 self-end text-sm">
          <input type="checkbox" className="checkbox" {...register("cannotFloor")} />
          {t("intake.cannotFloor")}
        </label>
        <WeightsAtHand kit={kit} typed={weights} onTyped={setWeights} />
        <div className="col-span-2">
          <FormProvider {...form}>
            <LimitsSection />
          </FormProvider>
        </div>
        <div className="col-span-2">
          <ReasonField
            label={t("sign.reason")}
            field={register("reason", reasonRules)}
            invalid={!!formState.errors.reason}
          />
        </div>
        <div className="col-span-2 empty:hidden">
          <ProblemNote problem={problem} />
        </div>
        <button
          className="btn btn-primary col-span-2 justify-self-start"
          disabled={formState.isSubmitting || shelfKg === null}
        >
          {t("plan.circumstancesSign")}
        </button>
      </form>
    </details>
  );
}
