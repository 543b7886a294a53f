import { useForm } from "react-hook-form";
import type { Alternative, StairItem } from "~/contract/episode";
import { sayChange } from "~/messages/say-change";
import { t } from "~/messages/say";
import FormFeet from "~/islands/frame/FormFeet";
import ReasonField from "~/islands/frame/ReasonField";
import { reasonRules } from "~/islands/frame/reason-rules";

interface Props {
  kind: "change" | "refuse";
  item: StairItem;
  busy: boolean;
  onCancel: () => void;
  onSign: (reason: string, alternative?: Alternative) => void;
}

interface Fields {
  reason: string;
  choice: string;
}

/** Going against a proposal: what instead, and why. */
export default function AgainstForm({ kind, item, busy, onCancel, onSign }: Props) {
  const { register, handleSubmit, formState } = useForm<Fields>();
  const name = (id: string) => item.exercise.variants.find((v) => v.id === id)?.name ?? id;
  const submit = handleSubmit(({ reason, choice }) =>
    onSign(reason.trim(), kind === "change" ? item.alternatives[Number(choice)] : undefined),
  );
  const options = (direction: Alternative["direction"]) =>
    item.alternatives.map((alternative, i) =>
      alternative.direction === direction ? (
        <option key={i} value={i} disabled={alternative.blockedBy !== null}>
          {sayChange(alternative, item.maximumN, name)}
          {alternative.blockedBy ? ` (${alternative.blockedBy})` : ""}
        </option>
      ) : null,
    );
  return (
    <form onSubmit={submit} className="bg-base-200 mt-2 flex flex-col gap-2 rounded-md p-2">
      {kind === "change" && (
        <label className="flex flex-col gap-1 text-sm font-medium">
          {t("sign.chooseKnob")}
          <select className="select w-full" {...register("choice", { required: true })} defaultValue="">
            <option value="" disabled />
            <optgroup label={t("sign.easier")}>{options("easier")}</optgroup>
            <optgroup label={t("sign.harder")}>{options("harder")}</optgroup>
          </select>
        </label>
      )}
      <ReasonField
        label={`${t("sign.reason")}. ${t("sign.reasonHelp")}`}
        field={register("reason", reasonRules)}
        invalid={!!formState.errors.reason}
      />
      <FormFeet
        submit={kind === "change" ? t("sign.submitChange") : t("sign.submitRefuse")}
        disabled={busy}
        onCancel={onCancel}
      />
    </form>
  );
}
