import { FormProvider, useForm, useWatch } from "react-hook-form";
import type { StairItem, StairView } from "~/contract/episode";
import { workingSide } from "~/core/case/working-side";
import { variantOf } from "~/core/exercise/exercise";
import { sidesOf } from "~/core/exercise/sides-of";
import { byHand } from "~/core/progression/by-hand";
import { isAgainst } from "~/core/review/signed-change";
import type { MessageKey } from "~/messages/en";
import FormFeet from "~/islands/frame/FormFeet";
import ProblemNote from "~/islands/frame/ProblemNote";
import ReasonField from "~/islands/frame/ReasonField";
import { useWrite } from "~/islands/frame/use-write";
import { sayDose } from "~/messages/describe";
import { label, t } from "~/messages/say";
import DoseFields from "./DoseFields";
import SettingFields from "./SettingFields";
import {
  draftOf,
  isReadable,
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
  const wanted = prescriptionOf(draft);
  const readable = isReadable(wanted);
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
        onSubmit={(event) => void handleSubmit(() => sign(false))(event)}
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
        <ProblemNote problem={problem} sayPath={sayField} onMeant={() => void sign(true)} />
        <p className="text-lg font-semibold" aria-live="polite" data-testid="prescribed">
          {!readable ? t("prescribe.unread") : hand ? sayDose(wanted, maximumN) : t("prescribe.same")}
        </p>
        <FormFeet
          submit={t("prescribe.sign")}
          disabled={busy || !readable || hand === null}
          onCancel={onCancel}
        />
      </form>
    </FormProvider>
  );
}

/** What the fields of a dose are called in the form. */
const fieldWords: Readonly<Record<string, MessageKey>> = {
  sets: "prescribe.sets",
  reps: "prescribe.reps",
  hold: "prescribe.hold",
  contacts: "prescribe.contacts",
  minutes: "prescribe.minutes",
  loadKg: "prescribe.load",
  bandN: "prescribe.band",
  effort: "prescribe.effort",
  tempo: "prescribe.tempo",
  halfwayPauseSeconds: "prescribe.tempo.halfway",
  restSeconds: "prescribe.rest",
  daysPerWeek: "prescribe.days",
  boutsPerDay: "prescribe.bouts",
  style: "prescribe.style",
  leg: "prescribe.legs",
  reason: "sign.reason",
};

/** The field that an answer speaks of, in the form's own words; nothing for the whole. */
function sayField(path: string): string {
  const name = path.split("/").at(-1) ?? "";
  if (path.includes("/settings/")) return `${label("knob", name)}:`;
  const words = fieldWords[name];
  return words ? `${t(words)}:` : "";
}
