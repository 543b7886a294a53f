import type { WeekAhead, WeekView } from "~/contract/week";
import { sayKnobValue } from "~/messages/say-knob-value";
import { label, sayDate, t } from "~/messages/say";

interface Props {
  ahead: WeekView["ahead"];
  pieces: WeekView["pieces"];
}

/** This week and the three after it: what their calendars allow at the earliest, and limits that begin or end. */
export default function WeeksAhead({ ahead, pieces }: Props) {
  return (
    <section className="bg-base-100 border-base-300 rounded-box border p-3" data-testid="weeks-ahead">
      <h2 className="font-semibold">{t("week.ahead")}</h2>
      <p className="text-base-content/75 text-sm">{t("week.aheadHelp")}</p>
      <ol className="mt-2 grid gap-3 sm:grid-cols-2 xl:grid-cols-4">
        {ahead.map((week) => (
          <li key={week.startsOn} className="border-base-300 border-t pt-1 text-sm">
            <h3 className="font-semibold">{t("week.from", { date: sayDate(week.startsOn) })}</h3>
            <ul className="flex flex-col gap-1">
              {week.begins.map(({ says, from }) => (
                <li key={`begins ${says}`}>{t("week.limitBegins", { says, date: sayDate(from ?? "") })}</li>
              ))}
              {week.ends.map(({ says, until }) => (
                <li key={`ends ${says}`} className="font-medium">
                  {t("week.limitEnds", { says, date: sayDate(until ?? "") })}
                </li>
              ))}
              {week.steps.map((step) => (
                <li key={`${step.itemId} ${step.on} ${step.knob}`}>
                  {sayStep(step, pieces.find(({ itemId }) => itemId === step.itemId)?.name ?? "")}
                </li>
              ))}
            </ul>
            {week.begins.length + week.ends.length + week.steps.length === 0 && (
              <p className="text-base-content/75">{t("week.aheadNone")}</p>
            )}
          </li>
        ))}
      </ol>
    </section>
  );
}

function sayStep(step: WeekAhead["steps"][number], name: string): string {
  const { on, knob, from, to, variantName, stoppedBy } = step;
  const date = sayDate(on);
  if (stoppedBy !== null) return t("week.stepStopped", { name, date, limit: stoppedBy });
  if (variantName !== null) return t("week.stepVariant", { name, date, variant: variantName });
  return t("week.step", {
    name,
    date,
    knob: label("knob", knob ?? ""),
    from: from === null || knob === null ? "" : sayKnobValue(knob, from),
    to: to === null || knob === null ? "" : sayKnobValue(knob, to),
  });
}
