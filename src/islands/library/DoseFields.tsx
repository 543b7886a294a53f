import { t } from "~/messages/say";
import { doseFields, type DoseField, type DoseText } from "./own-dose";

interface Props {
  /** Name of the variant, for those who hear the fields one by one. */
  of: string;
  text: DoseText;
  faultAt: (field: DoseField) => string | null;
  onText: (field: DoseField, value: string) => void;
}

/** The dose of a variant: only what it counts. */
export default function DoseFields({ of, text, faultAt, onText }: Props) {
  const asked = doseFields.filter((field) => text[field] !== undefined);
  const faults = asked.flatMap((field) => {
    const fault = faultAt(field);
    return fault ? [`${t(`own.dose.${field}`)}: ${fault}`] : [];
  });
  return (
    <div className="mt-1 flex flex-wrap gap-2" data-fault={faults.length > 0 ? true : undefined}>
      {asked.map((field) => (
        <label key={field} className="flex w-24 flex-col text-sm">
          <span className="text-base-content/75">{t(`own.dose.${field}`)}</span>
          <input
            className={`input w-full text-right ${faultAt(field) ? "input-error" : ""}`}
            inputMode="decimal"
            aria-label={`${t(`own.dose.${field}`)}, ${of}`}
            aria-invalid={faultAt(field) !== null}
            value={text[field] ?? ""}
            onChange={(event) => onText(field, event.target.value)}
          />
        </label>
      ))}
      {faults.length > 0 && <p className="text-error w-full text-sm">{faults.join("; ")}</p>}
    </div>
  );
}
