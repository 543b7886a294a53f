import { useFieldArray, useFormContext } from "react-hook-form";
import { label, t } from "~/messages/say";
import type { EventFields } from "./event-fields";
import { emptyLine, sheetJoints, sheetKinds, sheetMuscles, weightUnits } from "./sheet-line";

const box = "input w-full";

/** The surgeon's own lines: what, how far, from when until when, by date or by weeks. */
export default function SheetLines() {
  const { control, register, watch } = useFormContext<EventFields>();
  const lines = useFieldArray({ control, name: "sheet" });
  return (
    <fieldset className="flex flex-col gap-2">
      <legend className="font-semibold">{t("sheet.title")}</legend>
      {lines.fields.map((field, n) => {
        const what = watch(`sheet.${n}.what`);
        return (
          <div
            key={field.id}
            className="border-base-300 grid grid-cols-2 gap-2 border-b pb-2 sm:grid-cols-4"
            data-testid={`sheet-line-${n}`}
          >
            <label className="col-span-2 text-sm">
              {t("sheet.what")}
              <select className="select w-full" {...register(`sheet.${n}.what`)}>
                {sheetKinds.map((kind) => (
                  <option key={kind} value={kind}>
                    {t(`sheet.kind.${kind}`)}
                  </option>
                ))}
              </select>
            </label>
            {what === "range" && (
              <label className="col-span-2 text-sm">
                {t("sheet.joint")}
                <select className="select w-full" {...register(`sheet.${n}.joint`)}>
                  {sheetJoints.map((joint) => (
                    <option key={joint} value={joint}>
                      {t(`sheet.joint.${joint}`)}
                    </option>
                  ))}
                </select>
              </label>
            )}
            {(what === "range" || what === "brace") && (
              <>
                <label className="text-sm">
                  {t("sheet.least")}
                  <input className={box} inputMode="decimal" {...register(`sheet.${n}.least`)} />
                </label>
                <label className="text-sm">
                  {t("sheet.most")}
                  <input className={box} inputMode="decimal" {...register(`sheet.${n}.most`)} />
                </label>
              </>
            )}
            {what === "range" && (
              <label className="col-span-2 flex min-h-11 items-center gap-2 self-end text-sm">
                <input type="checkbox" className="checkbox" {...register(`sheet.${n}.loaded`)} />
                {t("sheet.loaded")}
              </label>
            )}
            {what === "weight" && (
              <>
                <label className="text-sm">
                  {t("sheet.amount")}
                  <input className={box} inputMode="decimal" {...register(`sheet.${n}.amount`)} />
                </label>
                <label className="text-sm">
                  {t("sheet.unit")}
                  <select className="select w-full" {...register(`sheet.${n}.unit`)}>
                    {weightUnits.map((unit) => (
                      <option key={unit} value={unit}>
                        {t(`sheet.unit.${unit}`)}
                      </option>
                    ))}
                  </select>
                </label>
              </>
            )}
            {(what === "resisted" || what === "lengthened" || what === "stretched") && (
              <label className="col-span-2 text-sm">
                {t("sheet.muscle")}
                <select className="select w-full" {...register(`sheet.${n}.muscle`)}>
                  {sheetMuscles.map((muscle) => (
                    <option key={muscle} value={muscle}>
                      {label("muscle", muscle)}
                    </option>
                  ))}
                </select>
              </label>
            )}
            <label className="text-sm">
              {t("intake.from")}
              <input className={box} type="date" {...register(`sheet.${n}.from`)} />
            </label>
            <label className="text-sm">
              {t("intake.until")}
              <input className={box} type="date" {...register(`sheet.${n}.until`)} />
            </label>
            <label className="text-sm">
              {t("sheet.weeks")}
              <input className={box} inputMode="numeric" {...register(`sheet.${n}.weeks`)} />
            </label>
            <label className="col-span-2 text-sm sm:col-span-3">
              {t("sheet.words")}
              <input className={box} maxLength={160} {...register(`sheet.${n}.says`)} />
            </label>
            <button type="button" className="btn self-end" onClick={() => lines.remove(n)}>
              {t("measures.remove")}
            </button>
          </div>
        );
      })}
      <button type="button" className="btn self-start" onClick={() => lines.append({ ...emptyLine })}>
        {t("sheet.more")}
      </button>
    </fieldset>
  );
}
