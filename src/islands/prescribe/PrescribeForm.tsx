import { FormProvider, useForm, useWatch } from "react-hook-form";
import type { StairItem, StairView } from "~/contract/episode";
import { byHand } from "~/core/progression/by-hand";
import { isAgainst } from "~/core/review/signed-change";
import FormFeet from "~/islands/frame/FormFeet";
import ProblemNote from "~/islands/frame/ProblemNote";
import ReasonField from "~/islands/frame/ReasonField";
import { useWrite } from "~/islands/frame/use-write";
import { sayDose } from "~/messages/say-dose";
import { t } from "~/messages/say";
import { sayField } from "./field-words";
import PrescriptionFields from "./PrescriptionFields";
import { isReadable, openedOn, prescriptionOf, type PrescribeFields } from "./prescribe-draft";

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
  const form = useForm<PrescribeFields>({ defaultValues: openedOn(prescription) });
  const { control, register, getValues, handleSubmit } = form;
  const draft = useWatch({ control }) as PrescribeFields;
  const { send, busy, problem } = useWrite("signDecision", { id: stair.episodeId }, (now) =>
    onStale(now.stair),
  );
  const wanted = prescriptionOf(draft);
  const readable = isReadable(wanted);
  const hand = byHand(prescription, wanted);
  const needsReason = hand !== null && isAgainst(proposal, hand.direction, hand.anyHarder);

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
        <PrescriptionFields exercise={exercise} involvedSide={stair.involvedSide} heightM={stair.heightM} />
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
