import { useFieldArray, useFormContext } from "react-hook-form";
import { illnesses, medicines } from "~/core/intake/intake";
import { bodyPositions } from "~/core/exercise/body";
import { t } from "~/messages/say";
import { Section, SelectField, TextField, TickField } from "./Fields";
import type { IntakeFields } from "./intake-fields";
import type { LimitField } from "./limit-field";

/** Everybody from this age is asked about falls and the fear of them; age by itself limits nothing. */
const asksFallsFrom = 65;

/** Whether somebody born on a day is at least so old; false for half a date. */
function isAtLeast(years: number, bornOn: string): boolean {
  const born = Date.parse(bornOn);
  return Number.isFinite(born) && (Date.now() - born) / (365.2425 * 86_400_000) >= years;
}

/** What bears on dose and safety: medicines, illness, falls, positions. */
export function HealthSection() {
  const { watch } = useFormContext<IntakeFields>();
  const isOlder = isAtLeast(asksFallsFrom, watch("bornOn"));
  return (
    <Section title={t("intake.health")}>
      {isOlder && <p className="col-span-2 text-sm font-medium">{t("intake.askFalls")}</p>}
      <div className="col-span-2 grid gap-x-3 sm:grid-cols-3">
        {medicines.map((code) => (
          <TickField key={code} name="medicines" value={code} label={t(`medicine.${code}`)} />
        ))}
        {illnesses.map((code) => (
          <TickField key={code} name="illnesses" value={code} label={t(`illness.${code}`)} />
        ))}
        <TickField name="fellLastYear" label={t("intake.fell")} />
        <TickField name="fearsFalling" label={t("intake.fearsFalling")} />
        <TickField name="cannotFloor" label={t("intake.cannotFloor")} />
      </div>
      <details className="col-span-2">
        <summary className="min-h-11 cursor-pointer py-2 text-sm font-medium">{t("intake.cannot")}</summary>
        <div className="grid grid-cols-2 sm:grid-cols-3">
          {bodyPositions.map((code) => (
            <TickField key={code} name="cannotPositions" value={code} label={t(`position.${code}`)} />
          ))}
        </div>
      </details>
    </Section>
  );
}

const kinds: readonly LimitField["what"][] = [
  "knee",
  "hip",
  "bearing-none",
  "bearing-two-legs",
  "impact",
  "note",
];

/** The surgeon's limits as a timeline: what, to which angle, from when to when. */
export function LimitsSection() {
  const { control, watch } = useFormContext<IntakeFields>();
  const limits = useFieldArray({ control, name: "limits" });
  return (
    <Section title={t("intake.limits")}>
      {limits.fields.map((field, n) => {
        const what = watch(`limits.${n}.what`);
        return (
          <div
            key={field.id}
            className="border-base-300 col-span-2 grid grid-cols-2 gap-2 border-b pb-2 sm:grid-cols-[1.6fr_4.5rem_1fr_1fr]"
          >
            <SelectField
              name={`limits.${n}.what`}
              label={t("intake.limitWhat")}
              options={kinds.map((kind) => [kind, t(`limitKind.${kind}`)] as const)}
            />
            {what === "knee" || what === "hip" ? (
              <TextField
                name={`limits.${n}.degrees`}
                label={t("intake.degrees")}
                type="number"
                min={0}
                max={160}
              />
            ) : (
              <span className="max-sm:hidden" />
            )}
            <TextField name={`limits.${n}.from`} label={t("intake.from")} type="date" />
            <TextField name={`limits.${n}.until`} label={t("intake.until")} type="date" />
            <button type="button" className="btn self-end sm:order-last" onClick={() => limits.remove(n)}>
              {t("measures.remove")}
            </button>
            <TextField name={`limits.${n}.says`} label={t("intake.limitSays")} width="row" maxLength={160} />
          </div>
        );
      })}
      <button
        type="button"
        className="btn col-span-2 justify-self-start"
        onClick={() => limits.append({ what: "knee", degrees: "90", says: "", from: "", until: "" })}
      >
        {t("intake.moreLimit")}
      </button>
    </Section>
  );
}
