import { Controller, useFormContext } from "react-hook-form";
import type { StairItem } from "~/core/interchange/contract";
import { limitKinds } from "~/core/response/session-record";
import PainPicker from "~/islands/frame/PainPicker";
import { t } from "~/messages/say";
import type { MessageKey } from "~/messages/en";
import { countedFields, type SessionDraft } from "./session-draft";

interface Props {
  item: StairItem;
  path: `items.${number}.sets.${number}`;
  title: string;
}

const amounts = [
  ["reps", "session.reps", "", 200],
  ["holdSeconds", "session.hold", "s", 600],
  ["contacts", "session.contacts", "", 400],
  ["minutes", "session.minutes", "min", 180],
  ["forceN", "session.force", "N", 4999],
  ["loadKg", "session.load", "kg", 500],
] as const satisfies readonly (readonly [string, MessageKey, string, number])[];

/** What was done and felt in one set (or in all of them). */
export default function SetFields({ item, path, title }: Props) {
  const { register, control, watch } = useFormContext<SessionDraft>();
  const counted = countedFields(item);
  const set = watch(path);
  return (
    <div className="flex flex-col gap-3" role="group" aria-label={title}>
      {title && <h3 className="border-base-300 border-b font-medium">{title}</h3>}
      <div className="flex flex-wrap gap-3">
        {amounts
          .filter(([name]) => counted[name])
          .map(([name, label, unit, max]) => (
            <label key={name} className="flex flex-col gap-1 text-sm font-medium">
              {t(label)}
              <span className="input w-28 text-lg">
                <input
                  type="number"
                  inputMode="decimal"
                  min={0}
                  max={max}
                  step="any"
                  {...register(`${path}.${name}`)}
                />
                <span className="text-base-content/70">{unit}</span>
              </span>
            </label>
          ))}
        <label className="flex flex-col gap-1 text-sm font-medium">
          {t("session.limit")}
          <select className="select w-40" {...register(`${path}.limit`)}>
            <option value="">{t("session.noLimit")}</option>
            {limitKinds.map((kind) => (
              <option key={kind} value={kind}>
                {t(`limit.${kind}`)}
              </option>
            ))}
          </select>
        </label>
        {set.limit === "pinch" && (
          <label className="flex flex-col gap-1 text-sm font-medium">
            {t("session.pinchGrade")}
            <select className="select w-24" {...register(`${path}.pinchGrade`)}>
              <option value="">–</option>
              {[0, 1, 2, 3].map((grade) => (
                <option key={grade} value={grade}>
                  {grade}
                </option>
              ))}
            </select>
          </label>
        )}
        {item.exercise.faults.length > 0 && (
          <label className="flex flex-col gap-1 text-sm font-medium">
            {t("session.fault")}
            <select className="select w-48" {...register(`${path}.fault`)}>
              <option value="">{t("session.noFault")}</option>
              {item.exercise.faults.map((fault) => (
                <option key={fault.code} value={fault.code}>
                  {fault.name}
                </option>
              ))}
            </select>
          </label>
        )}
        {set.fault !== "" && (
          <label className="flex flex-col gap-1 text-sm font-medium">
            {t("session.faultReps")}
            <select className="select w-40" {...register(`${path}.faultReps`)}>
              <option value="some">{t("session.some-reps")}</option>
              <option value="most">{t("session.most-reps")}</option>
            </select>
          </label>
        )}
      </div>
      <div className="grid gap-3 sm:grid-cols-[1fr_9rem]">
        <Asked path={`${path}.painDuring`} label={t("session.painDuring")} control={control} />
        <label className="flex flex-col gap-1 text-sm font-medium">
          {t("session.painSite")}
          <select className="select w-full" {...register(`${path}.painSite`)}>
            {(["episode", "muscle", "elsewhere"] as const).map((site) => (
              <option key={site} value={site}>
                {t(`session.site.${site}`)}
              </option>
            ))}
          </select>
        </label>
        <Asked path={`${path}.effort`} label={t("session.effort")} control={control} />
      </div>
    </div>
  );
}

interface AskedProps {
  path: `items.${number}.sets.${number}.painDuring` | `items.${number}.sets.${number}.effort`;
  label: string;
  control: ReturnType<typeof useFormContext<SessionDraft>>["control"];
}

/** A number that has to be asked: no default. */
function Asked({ path, label, control }: AskedProps) {
  return (
    <Controller
      control={control}
      name={path}
      rules={{ validate: (value) => value !== null }}
      render={({ field, fieldState }) => (
        <div className={fieldState.invalid ? "outline-error rounded-md outline-2 outline-offset-4" : ""}>
          <PainPicker label={label} name={path} value={field.value} onChange={field.onChange} />
        </div>
      )}
    />
  );
}
