import { listNeeds } from "~/catalogue/composer/needs";
import type { CompositionBody } from "~/contract/plan";
import { arrangedItems } from "~/core/case/arranged";
import { limitsOf } from "~/core/case/in-force";
import { composeList, type ComposedList } from "~/core/intake/compose-list";
import { stageOf } from "~/core/pathway/pathway";
import { problemIf } from "~/core/schema/field-problem";
import { localDay } from "~/core/schedule/local-day";
import { loadEpisode, noteRead } from "~/server/case/load-episode";
import { clinicCatalogue } from "~/server/catalogue/clinic-catalogue";
import { refused } from "~/server/http/problem";
import type { StaffContext } from "~/server/staff-context";

/** Composes a list for this patient from what is asked, was hurt and was found; within every limit. Nothing is stored. */
export async function composePlan(
  staff: StaffContext,
  episodeId: string,
  { needs, minutes }: CompositionBody,
): Promise<ComposedList> {
  const loaded = await loadEpisode(staff, episodeId);
  const unknown = needs.flatMap((need, n) =>
    problemIf(
      !listNeeds.some(({ code }) => code === need),
      `/needs/${n}`,
      "is not a need that is known here",
    ),
  );
  if (unknown.length > 0) throw refused(unknown);
  await noteRead(staff, episodeId, "compose-list");
  const { file } = loaded;
  const { exercises } = await clinicCatalogue(staff.clinicId);
  const stage = stageOf(file.pathway, loaded.review().stage);
  return composeList({
    needs: listNeeds.filter(({ code }) => needs.includes(code)),
    exercises,
    limits: limitsOf(file, stage),
    present: arrangedItems(file).map(({ item }) => item.exerciseId),
    minutes,
    today: localDay(file.asOf, file.zone),
    book: loaded.book(),
  });
}
