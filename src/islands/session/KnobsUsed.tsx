import { variantOf } from "~/core/exercise/exercise";
import type { KnobValue } from "~/core/exercise/prescription";
import { knobByName } from "~/core/exercise/knob";
import { sayKnobValue } from "~/messages/describe";
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
    "ladder" in turn && settings[turn.knob] !== undefined ? [turn] : [],
  );
  if (turns.length === 0) return null;
  return (
    <details open={Object.keys(used).length > 0 || turns.some(({ ownStep }) => ownStep !== undefined)}>
      <summary className="btn btn-ghost">{t("session.knobs")}</summary>
      <div className="mt-1 flex flex-wrap gap-3">
        {turns.map(({ knob, ladder, ownStep }) => {
          const asked = settings[knob] as KnobValue;
          const note = (value: KnobValue | null) => {
            const { [knob]: _before, ...rest } = used;
            const isPlain = value === null || (value === asked && ownStep === undefined);
            onChange(isPlain ? rest : { ...rest, [knob]: value });
          };
          if (ownStep !== undefined)
            return <ReallyDone key={knob} knob={knob} asked={asked} done={used[knob]} onDone={note} />;
          const values = ladder.includes(asked) ? ladder : [asked, ...ladder];
          return (
            <label key={knob} className="flex flex-col gap-1 text-sm font-medium">
              {label("knob", knob)}
              <select
                className="select w-40"
                value={values.indexOf(used[knob] ?? asked)}
                onChange={(event) => note(values[Number(event.target.value)] ?? asked)}
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

interface Done {
  knob: string;
  asked: KnobValue;
  done: KnobValue | undefined;
  onDone: (value: KnobValue | null) => void;
}

/** What is measured each time, such as the centimetres of a reach: empty until somebody measures. */
function ReallyDone({ knob, asked, done, onDone }: Done) {
  const { accepts } = knobByName(knob);
  return (
    <label className="flex flex-col gap-1 text-sm font-medium">
      {t("session.knobs.done", { knob: label("knob", knob), asked: sayKnobValue(knob, asked) })}
      <input
        className="input w-40"
        type="number"
        inputMode="numeric"
        value={done === undefined ? "" : Number(done)}
        onChange={({ target }) => {
          if (target.value === "") onDone(null);
          else if (accepts(target.valueAsNumber)) onDone(target.valueAsNumber);
        }}
      />
    </label>
  );
}
