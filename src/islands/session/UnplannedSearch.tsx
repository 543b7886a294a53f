import { useState } from "react";
import type { CatalogueHit } from "~/contract/library";
import type { Problem } from "~/contract/problem";
import type { Exercise } from "~/core/exercise/exercise";
import { call } from "~/islands/frame/call";
import ProblemNote from "~/islands/frame/ProblemNote";
import { t } from "~/messages/say";

/** Something that was done and stands in no plan, found in the clinic's catalogue. */
export default function UnplannedSearch({
  onAdd,
}: {
  onAdd: (exercise: Exercise, variantId: string) => void;
}) {
  const [hits, setHits] = useState<CatalogueHit[]>([]);
  const [problem, setProblem] = useState<Problem | null>(null);
  const search = async (text: string) => {
    if (text.trim().length < 2) return setHits([]);
    const answer = await call("searchCatalogue", { limit: "6", text: text.trim() });
    setProblem(answer.ok ? null : answer.problem);
    setHits(answer.ok ? answer.value.hits : []);
  };
  const add = async (hit: CatalogueHit) => {
    const answer = await call("readExercise", { code: hit.exerciseId });
    if (!answer.ok) return setProblem(answer.problem);
    setHits([]);
    onAdd(answer.value, hit.variantId);
  };
  return (
    <details className="mt-2">
      <summary className="btn w-full">{t("session.unplanned")}</summary>
      <div className="bg-base-100 mt-1 rounded-md p-2">
        <p className="text-base-content/75 text-xs">{t("session.unplannedHelp")}</p>
        <label className="mt-1 flex flex-col gap-1 text-sm font-medium">
          {t("session.find")}
          <input
            className="input w-full"
            autoComplete="off"
            onChange={(event) => void search(event.target.value)}
          />
        </label>
        <ProblemNote problem={problem} />
        <ul className="mt-1 flex flex-col gap-1">
          {hits.map((hit) => (
            <li key={`${hit.exerciseId} ${hit.variantId}`}>
              <button
                type="button"
                className="btn h-auto min-h-11 w-full flex-col items-start gap-0 py-1 text-left font-normal"
                onClick={() => void add(hit)}
              >
                <span className="font-medium">{hit.exerciseName}</span>
                <span>{hit.variantName}</span>
              </button>
            </li>
          ))}
        </ul>
      </div>
    </details>
  );
}
