import { later } from "~/islands/frame/later";
import type { Exercise } from "~/core/exercise/exercise";
import type { FaultRecord } from "~/core/response/session-record";
import { t } from "~/messages/say";

const SeenFault = later(
  () => import("./SeenFault"),
  () => <div className="bg-base-200 min-h-15 rounded-md" />,
);

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
        <SeenFault
          key={fault.fault}
          fault={fault}
          name={name(fault.fault)}
          counts={counts}
          onChange={(next) =>
            onChange(seen.flatMap((other) => (other === fault ? (next ? [next] : []) : [other])))
          }
        />
      ))}
    </fieldset>
  );
}

const mostButtons = 6;

/** Counts worth a button: 1 up to six, never more than were done. */
function countsUpTo(reps: number): number[] {
  return Array.from({ length: Math.min(mostButtons, reps) }, (_, n) => n + 1);
}
