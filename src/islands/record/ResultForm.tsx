import { useState } from "react";
import { v7 as uuid } from "uuid";
import type { RecordEntry } from "~/contract/record";
import FormFeet from "~/islands/frame/FormFeet";
import ProblemNote from "~/islands/frame/ProblemNote";
import { typedNumber } from "~/islands/frame/typed-number";
import { useWrite } from "~/islands/frame/use-write";
import { label, t } from "~/messages/say";

type Result = Extract<RecordEntry, { kind: "measures" }>["results"][number];

interface Props {
  one: Result;
  episodeId: string;
  onDone: () => void;
  onCancel: () => void;
}

/** The tries of a result as they should have been; the result stays, and this one takes its place. */
export default function ResultForm({ one: { result, unit }, episodeId, onDone, onCancel }: Props) {
  const { send, busy, problem } = useWrite("recordVisit", { id: episodeId });
  const [texts, setTexts] = useState((result.trials ?? [result.value]).map(String));
  const [meant, setMeant] = useState(false);
  const [id] = useState(() => uuid());
  const trials = texts.map((text) => typedNumber(text) ?? NaN);
  const record = async (event: React.FormEvent) => {
    event.preventDefault();
    const { measure, side, position, detail, occasion } = result;
    const corrected = {
      id,
      supersedes: result.id,
      measure,
      side,
      trials,
      occasion,
      ...(position === undefined ? {} : { way: position }),
      ...(detail === undefined ? {} : { detail }),
      ...(meant ? { confirmed: true } : {}),
    };
    if (await send({ takenOn: result.takenOn, results: [corrected] }, result.id)) onDone();
  };
  return (
    <form
      className="bg-base-200 mt-2 flex flex-col gap-2 rounded-md p-2"
      noValidate
      onSubmit={(event) => void record(event)}
    >
      <ProblemNote problem={problem} />
      <div className="flex flex-wrap gap-3">
        {texts.map((text, n) => (
          <label key={n} className="flex flex-col gap-1 text-sm font-medium">
            {t("record.trial", { n: n + 1 })}
            <span className="input w-32">
              <input
                inputMode="decimal"
                value={text}
                aria-invalid={Number.isNaN(trials[n])}
                onChange={({ target }) => setTexts(texts.with(n, target.value))}
              />
              <span className="text-base-content/70">{label("unit", unit)}</span>
            </span>
          </label>
        ))}
      </div>
      {problem && (
        <label className="flex min-h-11 items-center gap-2">
          <input
            type="checkbox"
            className="checkbox"
            checked={meant}
            onChange={({ target }) => setMeant(target.checked)}
          />
          {t("record.meant")}
        </label>
      )}
      <FormFeet
        submit={t("record.correctSubmit")}
        disabled={busy || trials.some(Number.isNaN)}
        onCancel={onCancel}
      />
    </form>
  );
}
