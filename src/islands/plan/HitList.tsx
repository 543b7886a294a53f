import { useState } from "react";
import { v7 as uuid } from "uuid";
import type { Problem } from "~/contract/problem";
import type { CatalogueAnswer, CatalogueHit } from "~/contract/library";
import type { PlanView, PlanWritten } from "~/contract/plan";
import { callApi } from "~/islands/frame/call-api";
import { t } from "~/messages/say";
import HitGroup from "./HitGroup";

interface Props {
  plan: PlanView;
  answer: CatalogueAnswer;
  onChanged: (next: PlanView, said: string) => void;
  onProblem: (problem: Problem) => void;
}

/** What a search found, ready to join the plan. */
export default function HitList({ plan, answer, onChanged, onProblem }: Props) {
  const [busy, setBusy] = useState(false);
  const inPlan = new Set(plan.items.map((item) => item.exerciseId));
  const { count, hits } = answer;

  const add = async ({ exerciseId, exerciseName, variantId }: CatalogueHit) => {
    setBusy(true);
    const body = { id: uuid(), exerciseId, variantId };
    const written = await callApi<PlanWritten>(`/api/episodes/${plan.episodeId}/items`, body);
    setBusy(false);
    if (written.ok) onChanged(written.value.plan, t("plan.added", { exercise: exerciseName }));
    else onProblem(written.problem);
  };

  return (
    <>
      <p className="text-base-content/80 mt-1 text-sm" role="status" data-testid="hit-count">
        {count > hits.length ? t("plan.hitsShown", { count, shown: hits.length }) : t("plan.hits", { count })}
      </p>
      <ul className="divide-base-300 mt-1 max-h-[36rem] divide-y overflow-y-auto" data-testid="hits">
        {byExercise(hits).map((variants) => (
          <HitGroup
            key={variants[0]?.exerciseId}
            variants={variants}
            heightM={plan.heightM}
            side={plan.involvedSide}
            inPlan={inPlan.has(variants[0]?.exerciseId ?? "")}
            onAdd={plan.maySign && !busy ? add : null}
          />
        ))}
      </ul>
    </>
  );
}

/** Hits of one exercise together, exercises in the order of their first hit. */
function byExercise(hits: readonly CatalogueHit[]): CatalogueHit[][] {
  const groups = new Map<string, CatalogueHit[]>();
  for (const hit of hits) groups.set(hit.exerciseId, [...(groups.get(hit.exerciseId) ?? []), hit]);
  return [...groups.values()];
}
