import { TriangleAlert } from "lucide-react";
import { t } from "~/messages/say";
import type { Problem } from "~/contract/problem";

interface Props {
  problem: Problem | null;
  /** Words for a field's path, where the form knows better ones. */
  sayPath?: (path: string) => string;
  /** Sends it again as meant, where the answer asks whether it is. */
  onMeant?: (() => void) | undefined;
}

/** What went wrong, field by field; read out as soon as it appears. */
export default function ProblemNote({
  problem,
  sayPath = (path) => path.replace(/^\//, ""),
  onMeant,
}: Props) {
  if (!problem) return null;
  // A question is no fault.
  const asks = problem.type === "/problems/unusual";
  return (
    <div
      role="alert"
      className={`alert ${asks ? "alert-warning" : "alert-error"} alert-soft items-start text-base-content`}
    >
      <TriangleAlert
        className={`${asks ? "text-warning" : "text-error"} mt-0.5 size-5 shrink-0`}
        aria-hidden
      />
      <div>
        <p className="font-semibold">{problem.title}</p>
        {problem.problems && (
          <ul className="mt-1 list-disc pl-5">
            {problem.problems.map(({ path, problem: text }) => (
              <li key={path + text}>
                <span className="font-medium">{sayPath(path)}</span> {text}
              </li>
            ))}
          </ul>
        )}
        {asks && onMeant && (
          <button type="button" className="btn border-base-content/40 mt-2" onClick={onMeant}>
            {t("meant.yes")}
          </button>
        )}
      </div>
    </div>
  );
}
