import { variantOf } from "~/core/exercise/exercise";
import type { KnobValue } from "~/core/exercise/prescription";
import { sayKnobValue } from "~/messages/say-knob-value";
import { label, t } from "~/messages/say";
import type { SessionItem } from "./session-draft";

interface Props {
  item: SessionItem;
  used: Readonly<Record<string, KnobValue>>;
  onChange: (used: Record<string, KnobValue>) => void;
}

/** Knobs of the movement as they really stood, where that was not as prescribed. */
export default function KnobsUsed({ item, used, onChange }: Props) {
  const { settings, variantId } = item.prescription;
  const turns = variantOf(item.exercise, variantId).turns.flatMap((turn) =>
    "ladder" in turn && turn.ownStep === undefined && settings[turn.knob] !== undefined ? [turn] : [],
  );
  if (turns.length === 0) return null;
  return (
    <details open={turns.some(({ knob }) => used[knob] !== undefined)}>
      <summary className="btn btn-ghost">{t("session.knobs")}</summary>
      <div className="mt-1 flex flex-wrap gap-3">
        {turns.map(({ knob, ladder }) => {
          const asked = settings[knob] as KnobValue;
          const values = ladder.includes(asked) ? ladder : [asked, ...ladder];
          return (
            <label key={knob} className="flex flex-col gap-1 text-sm font-medium">
              {label("knob", knob)}
              <select
                className="select w-40"
                value={values.indexOf(used[knob] ?? asked)}
                onChange={(event) => {
                  const { [knob]: _before, ...rest } = used;
                  const value = values[Number(event.target.value)] ?? asked;
                  onChange(value === asked ? rest : { ...rest, [knob]: value });
                }}
              >
                {values.map((value, n) => (
                  <option key={n} value={n}>
                    {sayKnobValue(knob, value)}
                  </option>
                ))}
              </select>
            </label>
          );
        })}
      </div>
    </details>
  );
}
