import type { FieldPath } from "react-hook-form";
import type { Problem } from "~/contract/problem";
import { later } from "~/islands/frame/later";
import { t } from "~/messages/say";
import type { PathwayChoice } from "./choices";
import { fieldOf, type IntakeFields } from "./intake-fields";
import RedFlagNote, { redFlagOf } from "./RedFlagNote";
import type { LivePlacing } from "./use-live-placing";

const PlacingPanel = later(() => import("./PlacingPanel"));

interface Props {
  id: string;
  live: LivePlacing;
  pathway: PathwayChoice | undefined;
  beside: string;
  maySign: boolean;
  isFlagged: boolean;
  isRenewed: boolean;
  onTouched: () => void;
  onGo: (name: FieldPath<IntakeFields>) => void;
  sayPath: (path: string) => string;
}

/** What stands beside the form: what still lacks, what keeps a proposal back, or the proposal, to be signed there. */
export default function ProposalAside({
  id,
  live,
  pathway,
  beside,
  maySign,
  isFlagged,
  isRenewed,
  onTouched,
  onGo,
  sayPath,
}: Props) {
  const { missing, proposed, current } = live;
  const problem = live.problem;
  const flag = problem && redFlagOf(problem);
  return (
    <section
      id="proposal"
      tabIndex={-1}
      aria-label={t("intake.beside")}
      className="bg-base-100 border-primary rounded-box scroll-mt-2 border-2 p-4 pb-0 outline-none lg:sticky lg:top-2 lg:max-h-[calc(100dvh-7.5rem)] lg:overflow-y-auto"
    >
      <div role="status" className="empty:hidden">
        {isRenewed && <p className="text-warning mb-2 text-sm font-medium">{t("intake.besideNew")}</p>}
      </div>
      {proposed && pathway && !isFlagged ? (
        <PlacingPanel
          key={JSON.stringify(proposed.placing)}
          id={id}
          pathway={pathway}
          placing={proposed.placing}
          intake={proposed.intake}
          isCurrent={current}
          beside={beside}
          maySign={maySign}
          onTouched={onTouched}
        />
      ) : (
        <div className="pb-4">
          <h2 className="text-xl font-bold">{t("intake.beside")}</h2>
          {isFlagged ? (
            <p className="mt-2">{t("intake.besideFlag")}</p>
          ) : missing.length > 0 ? (
            <>
              <p className="text-base-content/80 mt-1">{t("intake.besideMissing")}</p>
              <ul className="mt-2 grid gap-x-4 sm:grid-cols-2" data-testid="still-needed">
                {missing.map(({ name, says }) => (
                  <li key={name}>
                    <button
                      type="button"
                      className="link flex min-h-11 items-center text-left"
                      onClick={() => onGo(name)}
                    >
                      {t(says)}
                    </button>
                  </li>
                ))}
              </ul>
            </>
          ) : flag && problem ? (
            <RedFlagNote title={problem.title} flag={flag} />
          ) : problem ? (
            <Refusal problem={problem} sayPath={sayPath} onGo={onGo} />
          ) : (
            <p className="text-base-content/80 mt-1">{t("intake.besideWorking")}</p>
          )}
        </div>
      )}
    </section>
  );
}

/** What keeps it back, said quietly: somebody may be typing still. */
function Refusal({ problem, sayPath, onGo }: { problem: Problem } & Pick<Props, "sayPath" | "onGo">) {
  return (
    <div className="mt-1">
      <p className="text-base-content/80">{t("intake.besideRefused")}</p>
      <ul className="mt-1">
        {(problem.problems ?? [{ path: "", problem: problem.title }]).map(({ path, problem: says }) => (
          <li key={path + says}>
            {path === "" ? (
              <p className="py-2">{says}</p>
            ) : (
              <button
                type="button"
                className="flex min-h-11 flex-wrap items-center gap-x-1 text-left"
                onClick={() => onGo(fieldOf(path))}
              >
                <span className="link font-medium">{sayPath(path)}</span> {says}
              </button>
            )}
          </li>
        ))}
      </ul>
    </div>
  );
}
