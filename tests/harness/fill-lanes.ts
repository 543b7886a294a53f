import { v7 as uuid } from "uuid";
import type { LibraryAnswer } from "~/contract/library";
import type { PlanView } from "~/contract/plan";
import type { Client } from "./client";

/** Puts an exercise of the patient's own library into every lane of the stage that has none. @returns lanes that nothing fits */
export async function fillLanes(client: Client, episodeId: string): Promise<string[]> {
  const { emptyLanes } = (await client.get(`/api/episodes/${episodeId}/plan`)).body as PlanView;
  const left: string[] = [];
  for (const lane of emptyLanes) {
    const { body } = await client.get(`/api/episodes/${episodeId}/library?lane=${lane}`);
    const choices = (body as LibraryAnswer).exercises.flatMap(({ exerciseId, variants }) =>
      variants.map(({ variantId }) => ({ exerciseId, variantId })),
    );
    let isFilled = false;
    for (const choice of choices) {
      const added = await client.post(`/api/episodes/${episodeId}/items`, {
        id: uuid(),
        ...choice,
        // Whoever walks takes nothing out: the plan grows beyond ten, and that is meant.
        meant: true,
      });
      isFilled = added.status === 201;
      if (isFilled) break;
    }
    if (!isFilled) left.push(lane);
  }
  return left;
}
