import { X } from "lucide-react";
import { faultPhases, type FaultRecord } from "~/core/response/session-record";
import { t } from "~/messages/say";

interface Props {
  fault: FaultRecord;
  name: string;
  /** What the repetitions that it spoiled may be counted as. */
  counts: readonly FaultRecord["reps"][];
  /** Null when it was not seen after all. */
  onChange: (next: FaultRecord | null) => void;
}

/** A fault that was seen: how bad, in how many repetitions, in which part of the movement. */
export default function SeenFault({ fault, name, counts, onChange }: Props) {
  const set = (change: Partial<FaultRecord>) => onChange({ ...fault, ...change });
  return (
    <div
      className="bg-base-200 flex flex-wrap items-center gap-2 rounded-md p-2"
      data-testid={`fault-${fault.fault}`}
    >
      <span className="font-medium">{name}</span>
      <div className="join">
        {(["slight", "marked"] as const).map((severity) => (
          <button
            key={severity}
            type="button"
            className={`btn join-item ${fault.severity === severity ? "btn-neutral" : ""}`}
            aria-pressed={fault.severity === severity}
            onClick={() => set({ severity })}
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
            onClick={() => set({ reps: count })}
          >
            {count === "some" || count === "most" ? t(`session.${count}-reps`) : count}
          </button>
        ))}
      </div>
      <select
        className="select w-36"
        aria-label={name}
        value={fault.phase ?? ""}
        onChange={(event) => {
          const { phase: _phase, ...rest } = fault;
          const phase = faultPhases.find((code) => code === event.target.value);
          onChange({ ...rest, ...(phase ? { phase } : {}) });
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
        aria-label={t("session.removeFault", { fault: name })}
        onClick={() => onChange(null)}
      >
        <X className="size-5" aria-hidden />
      </button>
    </div>
  );
}
