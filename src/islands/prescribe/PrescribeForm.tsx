import { useState } from "react";
import { FormProvider, useForm, useWatch } from "react-hook-form";
import type { StairItem, StairView } from "~/contract/episode";
import { workingSide } from "~/core/case/working-side";
import { variantOf } from "~/core/exercise/exercise";
import { sidesOf } from "~/core/exercise/sides-of";
import { byHand } from "~/core/progression/by-hand";
import { isAgainst } from "~/core/review/signed-change";
import ProblemNote from "~/islands/frame/ProblemNote";
import ReasonField from "~/islands/frame/ReasonField";
import { useWrite } from "~/islands/frame/use-write";
import { sayDose } from "~/messages/describe";
import { label, t } from "~/messages/say";
import DoseFields from "./DoseFields";
import SettingFields from "./SettingFields";
import {
  draftOf,
  movedTo,
  prescriptionOf,
  styled,
  stylesFor,
  type PrescribeDraft,
  type PrescribeFields,
} from "./prescribe-draft";

interface Props {
  stair: StairView;
  item: StairItem;
  onCancel: () => void;
  onSigned: (next: StairView) => void;
  onStale: (next: StairView) => void;
}

/** Any dose and any setting of an exercise by the clinician's own hand, signed as one change. */
export default function PrescribeForm({ stair, item, onCancel, onSigned, onStale }: Props) {
  const { exercise, prescription, proposal, maximumN } = item;
  const form = useForm<PrescribeFields>({ defaultValues: { ...draftOf(prescription), reason: "" } });
  const { control, register, reset, getValues, handleSubmit } = form;
  const draft = useWatch({ control }) as PrescribeFields;
  const { send, busy, problem } = useWrite("signDecision", { id: stair.episodeId }, (now) =>
    onStale(now.stair),
  );
  const [meant, setMeant] = useState(false);
  const wanted = prescriptionOf(draft);
  const hand = byHand(prescription, wanted);
  const needsReason = hand !== null && isAgainst(proposal, hand.direction, hand.anyHarder);
  const change = (next: PrescribeDraft) => reset({ ...next, reason: getValues("reason") });

  const sign = async (isMeant: boolean) => {
    const { reason, ...rest } = getValues();
    const written = await send(
      {
        itemId: item.itemId,
        expectedVersion: stair.version,
        action: "change",
        prescription: prescriptionOf(rest),
        ...(reason.trim() ? { reason: reason.trim() } : {}),
        ...(isMeant ? { meant: true } : {}),
      },
      `by hand ${item.itemId} ${stair.version}`,
    );
    if (written) onSigned(written.stair);
  };

  return (
    <FormProvider {...form}>
      <form
        className="bg-base-200 clear-both mt-2 flex flex-col gap-3 rounded-md p-2"
        data-testid="prescribe"
        onSubmit={(event) => void handleSubmit(() => sign(meant))(event)}
      >
        <div className="grid gap-2 sm:grid-cols-2">
          <label className="text-sm font-medium">
            {t("prescribe.variant")}
            <select
              className="select w-full"
              value={draft.variantId}
              onChange={(event) => change(movedTo(getValues(), variantOf(exercise, event.target.value)))}
            >
              {exercise.variants.map(({ id, name }) => (
                <option key={id} value={id}>
                  {name}
                </option>
              ))}
            </select>
          </label>
          <label className="text-sm font-medium">
            {t("prescribe.style")}
            <select
              className="select w-full"
              value={draft.style}
              onChange={(event) => change(styled(getValues(), event.target.value as PrescribeDraft["style"]))}
            >
              {stylesFor(draft).map((style) => (
                <option key={style} value={style}>
                  {label("style", style)}
                </option>
              ))}
            </select>
          </label>
        </div>
        <DoseFields variant={variantOf(exercise, draft.variantId)} />
        <SettingFields variant={variantOf(exercise, draft.variantId)} />
        {sidesOf(exercise, wanted) !== "both-together" && stair.involvedSide !== "both" && (
          <fieldset className="flex flex-wrap gap-x-4 text-sm">
            <legend className="font-medium">{t("prescribe.legs")}</legend>
            {(["", "affected", "other"] as const).map((leg) => (
              <label key={leg} className="flex min-h-11 cursor-pointer items-center gap-2">
                <input type="radio" className="radio" value={leg} {...register("leg")} />
                {leg === ""
                  ? t("prescribe.eachLeg")
                  : t("prescribe.onlyLeg", { side: t(`side.${workingSide({ leg }, stair.involvedSide)}`) })}
              </label>
            ))}
          </fieldset>
        )}
        {needsReason && (
          <ReasonField
            label={`${t("sign.reason")}. ${t("sign.reasonHelp")}`}
            field={register("reason")}
            invalid={problem?.problems?.some(({ path }) => path === "/reason") ?? false}
          />
        )}
        <ProblemNote
          problem={problem}
          sayPath={sayField}
          onMeant={() => {
            setMeant(true);
            void sign(true);
          }}
        />
        <p className="text-lg font-semibold" aria-live="polite" data-testid="prescribed">
          {hand ? sayDose(wanted, maximumN) : t("prescribe.same")}
        </p>
        <div className="flex gap-2">
          <button className="btn btn-primary" disabled={busy || hand === null}>
            {t("prescribe.sign")}
          </button>
          <button type="button" className="btn btn-ghost" onClick={onCancel}>
            {t("sign.cancel")}
          </button>
        </div>
      </form>
    </FormProvider>
  );
}

/** The field that an answer speaks of, in the form's own words. */
function sayField(path: string): string {
  const name = path.split("/").at(-1) ?? "";
  if (path.includes("/settings/")) return label("knob", name);
  return label("doseField", name) || name;
}
