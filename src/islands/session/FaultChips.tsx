import { X } from "lucide-react";
import type { Exercise } from "~/core/exercise/exercise";
import type { FaultRecord } from "~/core/response/session-record";
import { faultPhases } from "~/core/response/session-record";
import { t } from "~/messages/say";

interface Props {
  faults: Exercise["faults"];
  seen: readonly FaultRecord[];
  /** Repetitions of the set, where they are counted. */
  reps: number | null;
  onChange: (seen: FaultRecord[]) => void;
}

/** The exercise's own faults: one tap says that it was seen, the second how many repetitions it spoiled. */
export default function FaultChips({ faults, seen, reps, onChange }: Props) {
  const name = (code: string) => faults.find((fault) => fault.code === code)?.name ?? code;
  const set = (code: string, change: Partial<FaultRecord>) =>
    onChange(seen.map((fault) => (fault.fault === code ? { ...fault, ...change } : fault)));
  const add = (code: string) => onChange([...seen, { fault: code, severity: "marked", reps: "some" }]);
  const counts: FaultRecord["reps"][] = ["some", "most", ...(reps === null ? [] : countsUpTo(reps))];
  return (
    <fieldset className="flex flex-col gap-2">
      <legend className="mb-1 text-sm font-medium">
        {t("session.faults")}
        {seen.length === 0 && (
          <span className="text-base-content/75 font-normal"> · {t("session.noFaultSeen")}</span>
        )}
      </legend>
      <div className="flex flex-wrap gap-2">
        {faults
          .filter(({ code }) => !seen.some((fault) => fault.fault === code))
          .map(({ code, name: words }) => (
            <button key={code} type="button" className="btn" onClick={() => add(code)}>
              {words}
            </button>
          ))}
      </div>
      {seen.map((fault) => (
        <div
          key={fault.fault}
          className="bg-base-200 flex flex-wrap items-center gap-2 rounded-md p-2"
          data-testid={`fault-${fault.fault}`}
        >
          <span className="font-medium">{name(fault.fault)}</span>
          <div className="join">
            {(["slight", "marked"] as const).map((severity) => (
              <button
                key={severity}
                type="button"
                className={`btn join-item ${fault.severity === severity ? "btn-neutral" : ""}`}
                aria-pressed={fault.severity === severity}
                onClick={() => set(fault.fault, { severity })}
              >
                {t(`session.${severity}`)}
              </button>
            ))}
          </div>
          <div className="flex flex-wrap gap-1" role="group" aria-label={t("session.faultReps")}>
            {counts.map((count) => (
              <button
                key={count}
                type="button"
                className={`btn min-w-11 px-2 ${fault.reps === count ? "btn-neutral" : ""}`}
                aria-pressed={fault.reps === count}
                onClick={() => set(fault.fault, { reps: count })}
              >
                {count === "some" || count === "most" ? t(`session.${count}-reps`) : count}
              </button>
            ))}
          </div>
          <select
            className="select w-36"
            aria-label={name(fault.fault)}
            value={fault.phase ?? ""}
            onChange={(event) => {
              const { phase: _phase, ...rest } = fault;
              const phase = faultPhases.find((code) => code === event.target.value);
              onChange(
                seen.map((other) => (other === fault ? { ...rest, ...(phase ? { phase } : {}) } : other)),
              );
            }}
          >
            <option value="">{t("session.phase.any")}</option>
            {faultPhases.map((phase) => (
              <option key={phase} value={phase}>
                {t(`session.phase.${phase}`)}
              </option>
            ))}
          </select>
          <button
            type="button"
            className="btn btn-ghost btn-square ml-auto"
            aria-label={t("session.removeFault", { fault: name(fault.fault) })}
            onClick={() => onChange(seen.filter((other) => other !== fault))}
          >
            <X className="size-5" aria-hidden />
          </button>
        </div>
      ))}
    </fieldset>
  );
}

const mostButtons = 6;

/** Counts worth a button: 1 up to six, never more than were done. */
function countsUpTo(reps: number): number[] {
  return Array.from({ length: Math.min(mostButtons, reps) }, (_, n) => n + 1);
}
