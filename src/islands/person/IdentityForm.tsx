import { useForm } from "react-hook-form";
import type { Identity, PersonView } from "~/contract/people";
import FormFeet from "~/islands/frame/FormFeet";
import ProblemNote from "~/islands/frame/ProblemNote";
import ReasonField from "~/islands/frame/ReasonField";
import { reasonRules } from "~/islands/frame/reason-rules";
import { useWrite } from "~/islands/frame/use-write";
import { sayLongDate, t } from "~/messages/say";

interface Props {
  view: PersonView;
  onSigned: () => void;
}

type Fields = Record<keyof Identity, string> & { reason: string };

const texts = [
  ["givenName", 80],
  ["familyName", 80],
  ["activity", 120],
  ["contact", 200],
] as const;

const blankIsNone = (text: string) => (text.trim() === "" ? null : text.trim());

/** Who somebody is, to be put right with a reason; what it was stays in the list of changes. */
export default function IdentityForm({ view: { episodeId, identity, maySign }, onSigned }: Props) {
  const { send, busy, problem } = useWrite("changeIdentity", { id: episodeId });
  const { register, handleSubmit, formState } = useForm<Fields>({
    defaultValues: {
      ...identity,
      normGroup: identity.normGroup ?? "",
      contact: identity.contact ?? "",
      reason: "",
    },
  });
  const sign = handleSubmit(async ({ reason, normGroup, contact, ...rest }) => {
    const group = normGroup === "male" || normGroup === "female" ? normGroup : null;
    const written = await send({
      identity: { ...rest, normGroup: group, contact: blankIsNone(contact) },
      reason: reason.trim(),
    });
    if (written) onSigned();
  });
  const { reason: _reason, ...changed } = formState.dirtyFields;
  const altered = Object.keys(changed).length > 0;
  return (
    <form
      onSubmit={(event) => void sign(event)}
      className="bg-base-100 border-base-300 rounded-box flex flex-col gap-2 border p-3"
      data-testid="identity"
    >
      <h3 className="text-lg font-semibold">{t("person.who")}</h3>
      <ProblemNote problem={problem} />
      <fieldset disabled={!maySign} className="grid gap-2 sm:grid-cols-2">
        {texts.map(([name, most]) => (
          <label key={name} className="flex flex-col gap-1 text-sm font-medium">
            {t(`person.${name}`)}
            <input
              className="input w-full"
              maxLength={most}
              autoComplete="off"
              aria-invalid={name in formState.errors}
              {...register(name, { required: name !== "contact" })}
            />
          </label>
        ))}
        <label className="flex flex-col gap-1 text-sm font-medium">
          {t("person.bornOn")}
          <input
            type="date"
            className="input w-full"
            aria-invalid={formState.errors.bornOn !== undefined}
            {...register("bornOn", { required: true })}
          />
          <span className="text-base-content/75 font-normal">{sayLongDate(identity.bornOn)}</span>
        </label>
        <label className="flex flex-col gap-1 text-sm font-medium">
          {t("person.normGroup")}
          <select className="select w-full" {...register("normGroup")}>
            <option value="">{t("person.normGroup.none")}</option>
            <option value="female">{t("person.normGroup.female")}</option>
            <option value="male">{t("person.normGroup.male")}</option>
          </select>
        </label>
      </fieldset>
      {altered && (
        <>
          <ReasonField
            label={t("person.reason")}
            field={register("reason", reasonRules)}
            invalid={formState.errors.reason !== undefined}
          />
          <FormFeet submit={t("person.sign")} disabled={busy} />
        </>
      )}
      {!maySign && <p className="text-sm">{t("sign.mayNot")}</p>}
    </form>
  );
}
