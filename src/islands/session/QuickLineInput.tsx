import { useState } from "react";
import { sidesOf } from "~/core/exercise/sides-of";
import { completeQuickLine } from "~/core/session/complete-quick-line";
import { parseQuickLine } from "~/core/session/parse-quick-line";
import { readQuickLine, type QuickItem, type QuickReading } from "~/core/session/read-quick-line";
import type { SetRecord, Side } from "~/core/response/session-record";
import { saySets } from "~/messages/say-sets";
import { t } from "~/messages/say";
import type { MessageKey } from "~/messages/en";
import type { SessionItem } from "./session-draft";
import { workingSide } from "~/core/case/working-side";
import type { Prescription } from "~/core/exercise/prescription";

interface Props {
  items: readonly SessionItem[];
  current: number;
  involved: Side;
  /** Whether something is noted for an exercise already. */
  isNoted: (item: number) => boolean;
  onTake: (item: number, sets: readonly SetRecord[]) => void;
  onPainBefore: (pain: number) => void;
}

/** A line for keyboard people: its reading is shown as one types, and nothing is taken that is not understood. */
export default function QuickLineInput({ items, current, involved, isNoted, onTake, onPainBefore }: Props) {
  const [text, setText] = useState("");
  const [taken, setTaken] = useState("");
  const known = items.map(({ name, exercise, prescription }) => ({
    name,
    dose: prescription.dose,
    sides: sidesOf(exercise, prescription),
    ...onlyLeg(prescription, involved),
    faults: exercise.faults,
  }));
  const line = parseQuickLine(text);
  const { painBefore } = line;
  const reading = readQuickLine(line, known, {
    current,
    involvedSide: involved,
    end: text.length,
  });
  const completions = text.trim() === "" ? [] : completeQuickLine(text, known, current);
  const ready =
    text.trim() !== "" && reading.problems.length === 0 && (reading.sets.length > 0 || painBefore !== null);
  const take = () => {
    if (!ready || reading.item === null) return;
    if (painBefore !== null) onPainBefore(painBefore);
    if (reading.sets.length > 0) onTake(reading.item, reading.sets);
    setTaken(
      [
        painBefore === null ? "" : t("quick.takenBefore", { pain: painBefore }),
        reading.sets.length > 0 ? t("quick.taken", { exercise: known[reading.item]?.name ?? "" }) : "",
      ]
        .filter(Boolean)
        .join(" "),
    );
    setText("");
  };
  const onKey = (event: React.KeyboardEvent) => {
    if (event.key === "Enter") {
      event.preventDefault();
      take();
    }
    const [first] = completions;
    if (event.key === "Tab" && !event.shiftKey && first) {
      event.preventDefault();
      setText(first.line);
    }
    if (event.key === "Escape") setText("");
  };
  return (
    <section className="bg-base-100 border-base-300 rounded-box border p-2" data-testid="quick-line">
      <div className="flex flex-wrap items-center gap-2">
        <label className="flex min-w-60 flex-1 items-center gap-2 text-sm font-medium">
          <span className="whitespace-nowrap">{t("quick.label")}</span>
          <input
            id="quick-line"
            className="input w-full font-mono text-lg"
            placeholder={t("quick.placeholder")}
            autoComplete="off"
            autoCapitalize="off"
            spellCheck={false}
            value={text}
            onChange={(event) => setText(event.target.value)}
            onKeyDown={onKey}
            aria-describedby="quick-reading"
            aria-invalid={text !== "" && !ready}
          />
        </label>
        <button type="button" className="btn btn-primary" disabled={!ready} onClick={take}>
          {t("quick.take")}
        </button>
      </div>
      <div id="quick-reading" role="status" className="text-sm [&>p]:mt-1">
        {text.trim() === "" ? (
          taken && <p className="text-base-content/75">{taken}</p>
        ) : (
          <Reading text={text} painBefore={painBefore} reading={reading} item={known[reading.item ?? -1]} />
        )}
        {ready && reading.item !== null && reading.sets.length > 0 && isNoted(reading.item) && (
          <p className="text-warning font-medium">
            {t("quick.again", { exercise: known[reading.item]?.name ?? "" })}
          </p>
        )}
        {completions.length > 0 && (
          <p className="text-base-content/75 font-mono text-xs">
            {completions
              .slice(0, 6)
              .map(({ word }) => word)
              .join("  ·  ")}
          </p>
        )}
      </div>
    </section>
  );
}

function Reading({
  text,
  painBefore,
  reading,
  item,
}: {
  text: string;
  painBefore: number | null;
  reading: QuickReading;
  item: QuickItem | undefined;
}) {
  const first = reading.problems[0];
  if (!first) {
    const notes = [
      ...(reading.matched ? [t("quick.matched")] : []),
      ...reading.asPlanned.map((part) => t(`quick.asPlanned.${part}`)),
    ];
    return (
      <p className="font-medium">
        {t("quick.says")} {painBefore !== null && `${t("quick.says.before", { pain: painBefore })} `}
        {saySets(item ?? { name: "", faults: [] }, reading.sets)}
        {notes.length > 0 && ` (${notes.join("; ")})`}
      </p>
    );
  }
  const key: MessageKey = `quick.problem.${first.code}`;
  const end = first.at + Math.max(1, first.length);
  return (
    <p>
      <span className="font-mono" aria-hidden>
        {text.slice(0, first.at)}
        <mark className="bg-error text-error-content rounded px-0.5">{text.slice(first.at, end) || "␣"}</mark>
        {text.slice(end)}
      </span>{" "}
      <span className="text-error font-medium">{t(key, { ...first.values })}</span>
    </p>
  );
}

/** The leg that a line speaks of without naming it, where only one works. */
function onlyLeg(prescription: Prescription, involved: Side): { only?: "left" | "right" } {
  const side = workingSide(prescription, involved);
  return prescription.leg === undefined || side === "both" ? {} : { only: side };
}
