import { Plus, SlidersHorizontal } from "lucide-react";
import { useEffect, useRef, useState } from "react";
import type { Problem } from "~/contract/problem";
import type { LibraryAnswer } from "~/contract/library";
import { call } from "~/islands/frame/call";
import ProblemNote from "~/islands/frame/ProblemNote";
import { t } from "~/messages/say";
import { moveAmongCards } from "./card-keys";
import LeftOut from "./LeftOut";
import { addressOf, filterCount, parametersOf, type LibraryQuery } from "./library-query";
import LibraryCard from "./LibraryCard";
import LibraryFilters, { type PathwayChoice } from "./LibraryFilters";
import { island } from "~/islands/frame/island";
import SearchBox from "~/islands/frame/SearchBox";

interface Props {
  answer: LibraryAnswer;
  query: LibraryQuery;
  pathways: readonly PathwayChoice[];
  mayAdd: boolean;
}

const pauseMs = 120;

/** The clinic's exercises, found by words, filters and figures; for a patient only what fits, and why the rest does not. */
function LibraryPage({ answer: first, query: asked, pathways, mayAdd }: Props) {
  const [answer, setAnswer] = useState(first);
  const [query, setQuery] = useState(asked);
  const [problem, setProblem] = useState<Problem | null>(null);
  const [open, setOpen] = useState(false);
  const box = useRef<HTMLInputElement>(null);
  const fresh = useRef(true);
  const { patient } = answer;
  const episodeId = patient?.episodeId;

  useEffect(() => {
    if (fresh.current) {
      fresh.current = false;
      return;
    }
    let current = true;
    const timer = setTimeout(async () => {
      const address = addressOf(query);
      history.replaceState(null, "", address ? `?${address}` : location.pathname);
      const asked = Object.fromEntries(new URLSearchParams(parametersOf(query)));
      const found = episodeId
        ? await call("searchPatientLibrary", { id: episodeId, ...asked })
        : await call("searchLibrary", asked);
      if (!current) return;
      setProblem(found.ok ? null : found.problem);
      if (found.ok) setAnswer(found.value);
    }, pauseMs);
    return () => {
      current = false;
      clearTimeout(timer);
    };
  }, [query, episodeId]);

  useEffect(() => {
    const onKey = (event: KeyboardEvent) => {
      const target = event.target instanceof HTMLElement ? event.target : null;
      moveAmongCards(event, target, box.current);
    };
    addEventListener("keydown", onKey);
    return () => removeEventListener("keydown", onKey);
  }, []);

  const count = filterCount(query);
  return (
    <div className="mx-auto max-w-7xl px-4 py-4">
      <div className="flex flex-wrap items-center gap-x-4 gap-y-2">
        {patient ? (
          <h2 className="text-xl font-bold">{t("library.for", { stage: patient.stageName })}</h2>
        ) : (
          <h1 className="text-2xl leading-tight font-bold">{t("library.title")}</h1>
        )}
        <p className="text-base-content/80" role="status" data-testid="library-count">
          {t("library.found", { exercises: answer.exercises.length, variants: answer.variantCount })}
        </p>
        {mayAdd && (
          <a className="btn bg-base-100 border-base-300 ml-auto" href="/library/new">
            <Plus className="size-5" aria-hidden /> {t("library.add")}
          </a>
        )}
      </div>
      <div className="mt-3 grid items-start gap-4 lg:grid-cols-[15rem_1fr]">
        <div className="flex flex-col gap-2">
          <SearchBox
            label={t("library.search")}
            placeholder={t("plan.words")}
            value={query.text}
            onChange={(text) => setQuery({ ...query, text })}
            box={box}
          />
          <button type="button" className="btn lg:hidden" aria-expanded={open} onClick={() => setOpen(!open)}>
            <SlidersHorizontal className="size-5" aria-hidden /> {t("library.filters")}
            {count > 0 && ` (${count})`}
          </button>
          <div className={open ? "" : "max-lg:hidden"}>
            <LibraryFilters
              query={query}
              pathways={patient ? [] : pathways}
              onChange={(change) => setQuery({ ...query, ...change })}
            />
          </div>
          <p className="text-base-content/75 text-sm max-lg:hidden">{t("library.keys")}</p>
        </div>
        <div className="min-w-0">
          {problem && <ProblemNote problem={problem} />}
          {answer.muscle && (
            <p className="text-base-content/80 mb-2 text-sm">
              {t("activity.caution")} {t("activity.line")}
            </p>
          )}
          {answer.exercises.length === 0 && (
            <div className="bg-base-100 border-base-300 rounded-box border p-4">
              <p>{t("library.none")}</p>
              {answer.nearest.length > 0 && (
                <p className="mt-2 flex flex-wrap items-center gap-2" data-testid="nearest">
                  {t("library.nearest")}
                  {answer.nearest.map(({ exerciseId, name: exercise }) => (
                    <button
                      key={exerciseId}
                      type="button"
                      className="btn"
                      onClick={() => setQuery({ ...query, text: exercise })}
                    >
                      {exercise}
                    </button>
                  ))}
                </p>
              )}
            </div>
          )}
          <ul
            className={`grid gap-2 ${answer.muscle ? "xl:grid-cols-2" : "sm:grid-cols-2 xl:grid-cols-3"}`}
            data-testid="cards"
          >
            {answer.exercises.map((entry) => (
              <LibraryCard
                key={entry.exerciseId}
                entry={entry}
                patient={patient}
                side={patient?.involvedSide ?? "right"}
                byActivity={answer.muscle !== null}
              />
            ))}
          </ul>
          {patient && <LeftOut patient={patient} leftOut={answer.leftOut} />}
        </div>
      </div>
    </div>
  );
}

export default island(LibraryPage);
