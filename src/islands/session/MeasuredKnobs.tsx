import { variantOf } from "~/core/exercise/exercise";
import { knobByName } from "~/core/exercise/knob";
import type { KnobValue } from "~/core/exercise/prescription";
import { sayKnobValue } from "~/messages/say-knob-value";
import { label, t } from "~/messages/say";
import type { SessionItem } from "./session-draft";

interface Props {
  item: SessionItem;
  used: Readonly<Record<string, KnobValue>>;
  onChange: (used: Record<string, KnobValue>) => void;
}

/** What is measured each time, such as the centimetres of a reach: empty until somebody measures. */
export default function MeasuredKnobs({ item, used, onChange }: Props) {
  const { settings, variantId } = item.prescription;
  const measured = variantOf(item.exercise, variantId).turns.flatMap((turn) =>
    "ownStep" in turn && turn.ownStep !== undefined ? [turn.knob] : [],
  );
  return measured.map((knob) => {
    const { [knob]: done, ...rest } = used;
    const { accepts, unit } = knobByName(knob);
    return (
      <label key={knob} className="flex flex-col gap-1 text-sm font-medium">
        {t("session.knobs.done", {
          knob: label("knob", knob),
          asked: sayKnobValue(knob, settings[knob] ?? 0),
        })}
        <span className="input w-32 text-lg">
          <input
            type="number"
            inputMode="numeric"
            value={done === undefined ? "" : Number(done)}
            onChange={({ target }) => {
              if (target.value === "") onChange(rest);
              else if (accepts(target.valueAsNumber)) onChange({ ...rest, [knob]: target.valueAsNumber });
            }}
          />
          <span className="text-base-content/70">{label("unit", unit)}</span>
        </span>
      </label>
    );
  });
}
