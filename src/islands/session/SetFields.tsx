import InPounds from "~/islands/frame/InPounds";
import { Controller, useFormContext } from "react-hook-form";
import { limitKinds, painSites } from "~/core/response/session-record";
import TapChoice from "~/islands/frame/TapChoice";
import PainPicker from "~/islands/frame/PainPicker";
import { t } from "~/messages/say";
import type { MessageKey } from "~/messages/en";
import { painSchool, type PainSchoolCode } from "~/core/response/pain-school";
import FaultChips from "./FaultChips";
import { later } from "~/islands/frame/later";
import { countedFields, type SessionDraft, type SessionItem } from "./session-draft";

const PainCameWith = later(() => import("./PainCameWith"));
const MeasuredKnobs = later(() => import("./MeasuredKnobs"));
const KnobsUsed = later(() => import("./KnobsUsed"));

interface Props {
  item: SessionItem;
  path: `items.${number}.sets.${number}`;
  title: string;
  /** The pain school in force: pain above its go band is asked about. */
  school: PainSchoolCode;
  /** Stands before the amounts. */
  lead: React.ReactNode;
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
export default function SetFields({ item, path, title, school, lead }: Props) {
  const { register, control, watch, setValue } = useFormContext<SessionDraft>();
  const counted = countedFields(item);
  const set = watch(path);
  return (
    <div className="flex flex-col gap-3" role="group" aria-label={title}>
      {title && <h3 className="border-base-300 border-b font-medium">{title}</h3>}
      <div className="flex flex-wrap gap-3">
        {lead}
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
        {counted.loadKg && (
          <InPounds label={t("session.load")} kg={set.loadKg} onKg={(kg) => setValue(`${path}.loadKg`, kg)} />
        )}
        <MeasuredKnobs
          item={item}
          used={set.settings}
          onChange={(used) => setValue(`${path}.settings`, used)}
        />
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
      </div>
      <div className="flex flex-col gap-3">
        <Asked path={`${path}.painDuring`} label={t("session.painDuring")} control={control} />
        {(set.painDuring ?? 0) > 0 && (
          <Controller
            control={control}
            name={`${path}.painSite`}
            render={({ field }) => (
              <TapChoice
                label={t("session.painSite")}
                name={field.name}
                options={painSites.map((site) => [site, t(`session.site.${site}`)] as const)}
                value={field.value}
                onChange={field.onChange}
              />
            )}
          />
        )}
        {set.painSite === "episode" && (set.painDuring ?? 0) > painSchool(school).goMax && (
          <PainCameWith path={path} control={control} />
        )}
        <Asked path={`${path}.effort`} label={t("session.effort")} control={control} />
      </div>
      {item.exercise.faults.length > 0 && (
        <FaultChips
          faults={item.exercise.faults}
          seen={set.faults}
          reps={counted.reps ? Number(set.reps) || 0 : null}
          onChange={(faults) => setValue(`${path}.faults`, faults)}
        />
      )}
      {set.limit === "fear" && (
        <Asked path={`${path}.confidence`} label={t("session.confidence")} control={control} />
      )}
      <KnobsUsed item={item} used={set.settings} onChange={(used) => setValue(`${path}.settings`, used)} />
    </div>
  );
}

interface AskedProps {
  path: `items.${number}.sets.${number}.${"painDuring" | "effort" | "confidence"}`;
  label: string;
  control: ReturnType<typeof useFormContext<SessionDraft>>["control"];
}

/** A number that has to be asked: no default. */
function Asked({ path, label, control }: AskedProps) {
  return (
    <Controller
      control={control}
      name={path}
      render={({ field, fieldState }) => (
        <div className={fieldState.invalid ? "outline-error rounded-md outline-2 outline-offset-4" : ""}>
          <PainPicker label={label} name={path} value={field.value} onChange={field.onChange} />
        </div>
      )}
    />
  );
}
