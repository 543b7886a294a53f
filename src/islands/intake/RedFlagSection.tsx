import { useEffect, useRef } from "react";
import { useFieldArray, useFormContext } from "react-hook-form";
import type { Calls } from "~/contract/clinic";
import { mostUrgent, stopSignals } from "~/core/intake/stop-signal";
import { label, t } from "~/messages/say";
import { Section, TextField, TickField } from "./Fields";
import type { IntakeFields } from "./intake-fields";
import RedFlagNote from "./RedFlagNote";

const asked = stopSignals.filter((signal) => signal.asked);

/** Why a red flag that was ticked is not so after all; it stays in the record with the name of who signs. */
function UntickedFlags() {
  const { control, watch } = useFormContext<IntakeFields>();
  const { fields, append, remove } = useFieldArray({ control, name: "unticked" });
  const flags = watch("redFlags");
  const before = useRef(flags);
  useEffect(() => {
    const gone = before.current.filter((code) => !flags.includes(code));
    const back = fields.findIndex(({ code }) => flags.includes(code));
    before.current = flags;
    if (back >= 0) remove(back);
    for (const code of gone) append({ code, reason: "" }, { shouldFocus: false });
  }, [flags, fields, append, remove]);
  return fields.map(({ id, code }, n) => (
    <TextField
      key={id}
      name={`unticked.${n}.reason`}
      label={t("intake.untickedWhy", { flag: label("signal", code) })}
      width="two"
      maxLength={400}
    />
  ));
}

/** Red flags first: a yes is answered at once with whom to call, a no by one tap, which folds them away. */
export default function RedFlagSection({ calls }: { calls: Calls }) {
  const { watch, setValue, setFocus } = useFormContext<IntakeFields>();
  const flags = watch("redFlags");
  const ticked = asked.filter(({ code }) => flags.includes(code)).map(({ code }) => code);
  const isFolded = watch("flagsAsked") && ticked.length === 0;
  const urgency = mostUrgent(ticked);
  const answer = (flagsAsked: boolean) => {
    setValue("flagsAsked", flagsAsked, { shouldDirty: true });
    // The next question, where there is one: somebody known is not asked for a name.
    if (flagsAsked) setFocus(watch("beside") === "" ? "givenName" : "consent");
  };
  return (
    <Section title={t("intake.screen")} testId="red-flags">
      {isFolded ? (
        <p className="col-span-2 flex flex-wrap items-center justify-between gap-2">
          <span className="font-medium">{t("intake.noFlags", { count: asked.length })}</span>
          <button type="button" className="btn" onClick={() => answer(false)}>
            {t("intake.askFlags")}
          </button>
        </p>
      ) : (
        <>
          <div className="col-span-2 flex flex-wrap items-center justify-between gap-2">
            <p className="text-error text-sm font-medium">{t("intake.screenNotice")}</p>
            <button
              type="button"
              className="btn btn-primary"
              disabled={ticked.length > 0}
              onClick={() => answer(true)}
            >
              {t("intake.flagsNone")}
            </button>
          </div>
          <div
            className="col-span-2 grid gap-x-3 sm:grid-cols-2"
            role="group"
            aria-label={t("intake.screen")}
          >
            {asked.map(({ code }) => (
              <TickField key={code} name="redFlags" value={code} label={label("signal", code)} />
            ))}
          </div>
        </>
      )}
      {urgency !== null && (
        <div className="col-span-2">
          <RedFlagNote
            title={t("intake.stopHere", { whom: calls[urgency] })}
            flag={{ urgency, signals: ticked }}
          />
        </div>
      )}
      <UntickedFlags />
    </Section>
  );
}
