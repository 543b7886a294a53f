import { TriangleAlert } from "lucide-react";
import type { Problem } from "~/contract/problem";

interface Props {
  problem: Problem | null;
  /** Words for a field's path, where the form knows better ones. */
  sayPath?: (path: string) => string;
}

/** What went wrong, field by field; read out as soon as it appears. */
export default function ProblemNote({ problem, sayPath = (path) => path.replace(/^\//, "") }: Props) {
  if (!problem) return null;
  return (
    <div role="alert" className="alert alert-error alert-soft items-start text-base-content">
      <TriangleAlert className="text-error mt-0.5 size-5 shrink-0" aria-hidden />
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
      </div>
    </div>
  );
}
