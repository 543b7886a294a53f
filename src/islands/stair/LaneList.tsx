import { Check, CircleDashed, CircleSlash, MoveRight } from "lucide-react";
import type { StairView } from "~/contract/episode";
import { t } from "~/messages/say";

const looks = {
  ready: { Icon: Check, tone: "text-success" },
  "on-the-way": { Icon: MoveRight, tone: "text-base-content/75" },
  "left-out": { Icon: CircleSlash, tone: "text-error" },
  empty: { Icon: CircleDashed, tone: "text-warning" },
} as const;

/** How each lane of the stage stands to the gate, and how much of it was done. */
export default function LaneList({
  lanes,
  episodeId,
  gate,
}: Pick<StairView, "lanes" | "episodeId" | "gate">) {
  return (
    <section className="border-base-300 mt-2 border-t pt-2" data-testid="lanes">
      <h2 className="font-semibold">{t("lanes.title")}</h2>
      <ul className="mt-1 grid gap-x-6 text-sm xl:grid-cols-2">
        {lanes.map(({ lane, state, adherencePercent }) => {
          const { Icon, tone } = looks[state];
          // In maintenance there is nothing to be kept closed.
          const words = state === "left-out" && gate === null ? "left-out-kept" : state;
          return (
            <li key={lane} className="flex flex-wrap items-center gap-x-2 py-0.5">
              <a
                className="link inline-flex min-h-11 items-center font-medium"
                href={`/episodes/${episodeId}/library?lane=${lane}`}
                title={t("library.openLane", { lane: t(`lane.${lane}`) })}
              >
                {t(`lane.${lane}`)}
              </a>
              <span className={`inline-flex items-center gap-1 ${tone}`}>
                <Icon className="size-4" aria-hidden /> {t(`lanes.${words}`)}
              </span>
              {adherencePercent !== null && (
                <span className="text-base-content/70">
                  {t("lanes.adherence", { percent: Math.round(adherencePercent) })}
                </span>
              )}
            </li>
          );
        })}
      </ul>
    </section>
  );
}
