import { Command } from "cmdk";
import { useEffect, useRef, useState } from "react";
import type { CatalogueHit } from "~/contract/library";
import type { FoundPerson } from "~/contract/people";
import type { Problem } from "~/contract/problem";
import { patientViews } from "./patient-views";
import { t } from "~/messages/say";
import { call } from "./call";
import ProblemNote from "./ProblemNote";

interface Action {
  readonly name: string;
  readonly run: () => void;
}

interface Props {
  /** What can be done on any page besides going somewhere. */
  actions: readonly Action[];
  onClose: () => void;
}

const go = (address: string) => () => location.assign(address);
const askAfterMs = 120;
const mostExercises = 6;

/** Everything by its name, from any page: people, views, exercises, acts. Opened by Ctrl K. */
export default function Palette({ actions, onClose }: Props) {
  const dialog = useRef<HTMLDialogElement>(null);
  const box = useRef<HTMLInputElement>(null);
  const [text, setText] = useState("");
  const [chosen, setChosen] = useState("");
  const { people, exercises, problem } = useFound(text.trim(), setChosen);
  useEffect(() => {
    dialog.current?.showModal();
    box.current?.focus();
  }, []);
  const [, episode] = /^\/episodes\/([^/]+)/.exec(location.pathname) ?? [];
  const here = episode === undefined ? [] : viewsOf(episode);
  const group =
    "[&_[cmdk-group-heading]]:text-base-content/75 [&_[cmdk-group-heading]]:px-2 [&_[cmdk-group-heading]]:pt-2 [&_[cmdk-group-heading]]:text-sm";
  return (
    <dialog
      ref={dialog}
      className="modal text-base-content modal-top"
      aria-label={t("palette.title")}
      onClose={onClose}
      onClick={(event) => event.target === dialog.current && dialog.current.close()}
      data-testid="palette"
    >
      <div className="modal-box mx-auto mt-[8dvh] max-w-2xl rounded-xl p-2 max-sm:mt-2">
        <Command label={t("palette.title")} value={chosen} onValueChange={setChosen} loop>
          <Command.Input
            ref={box}
            value={text}
            onValueChange={setText}
            maxLength={80}
            placeholder={t("palette.ask")}
            className="input w-full text-lg"
          />
          <ProblemNote problem={problem} />
          <Command.List className="mt-1 max-h-[60dvh] overflow-y-auto">
            <Command.Empty className="p-3">{t("palette.nothing")}</Command.Empty>
            {people.length > 0 && (
              <Command.Group heading={t("palette.people")} className={group}>
                {people.map(({ episodeId, person, birthYear, diagnosis, involvedSide, state }) => (
                  <Line
                    key={episodeId}
                    value={`person ${episodeId}`}
                    always={text}
                    run={go(`/episodes/${episodeId}`)}
                  >
                    <span>
                      <strong>
                        {person.givenName} {person.familyName}
                      </strong>{" "}
                      {t("palette.born", { year: birthYear })} · {diagnosis}, {t(`side.${involvedSide}`)}
                    </span>
                    {state !== "active" && (
                      <span className="badge badge-neutral">{t(`palette.state.${state}`)}</span>
                    )}
                  </Line>
                ))}
              </Command.Group>
            )}
            {here.length > 0 && (
              <Command.Group heading={t("palette.patient")} className={group}>
                {here.map(({ name, address, key }) => (
                  <Line key={address} value={`${t("palette.patient")} ${name}`} run={go(address)}>
                    {name}
                    <kbd className="kbd kbd-sm">{key}</kbd>
                  </Line>
                ))}
              </Command.Group>
            )}
            <Command.Group heading={t("palette.views")} className={group}>
              {everywhere.map(({ name, address, key }) => (
                <Line key={address} value={name} run={go(address)}>
                  {name}
                  {key && <kbd className="kbd kbd-sm">{key}</kbd>}
                </Line>
              ))}
            </Command.Group>
            {exercises.length > 0 && (
              <Command.Group heading={t("palette.exercises")} className={group}>
                {exercises.map(({ exerciseId, exerciseName }) => (
                  <Line
                    key={exerciseId}
                    value={`exercise ${exerciseId}`}
                    always={text}
                    run={go(`/library/${exerciseId}`)}
                  >
                    {exerciseName}
                  </Line>
                ))}
              </Command.Group>
            )}
            <Command.Group heading={t("palette.actions")} className={group}>
              {actions.map(({ name, run }) => (
                <Line
                  key={name}
                  value={name}
                  run={() => {
                    dialog.current?.close();
                    run();
                  }}
                >
                  {name}
                </Line>
              ))}
            </Command.Group>
          </Command.List>
        </Command>
      </div>
    </dialog>
  );
}

const everywhere = [
  { name: t("caseload.title"), address: "/", key: "c" },
  { name: t("intake.new"), address: "/intake", key: "n" },
  { name: t("library.title"), address: "/library", key: "l" },
  { name: t("calls.title"), address: "/clinic", key: "" },
  { name: t("frame.kit"), address: "/clinic/kit", key: "" },
];

const viewsOf = (episode: string) =>
  patientViews.map(({ path, key, says }) => ({
    name: t(says),
    address: path === "" ? `/episodes/${episode}` : `/episodes/${episode}/${path}`,
    key,
  }));

interface LineProps {
  value: string;
  /** What was found by the server fits whatever it was asked. */
  always?: string;
  run: () => void;
  children: React.ReactNode;
}

function Line({ value, always, run, children }: LineProps) {
  return (
    <Command.Item
      value={value}
      {...(always === undefined ? {} : { keywords: [always] })}
      onSelect={run}
      className="data-[selected=true]:bg-base-300 flex min-h-11 cursor-pointer items-center justify-between gap-2 rounded-md px-2 py-1"
    >
      {children}
    </Command.Item>
  );
}

interface Found {
  readonly people: readonly FoundPerson[];
  readonly exercises: readonly CatalogueHit[];
  readonly problem: Problem | null;
}
const nothing: Found = { people: [], exercises: [], problem: null };

/** People and exercises by what was typed, asked for once the typing rests; an answer that was overtaken is passed over. */
function useFound(text: string, onFirst: (value: string) => void): Found {
  const [found, setFound] = useState(nothing);
  useEffect(() => {
    let current = true;
    const timer = setTimeout(() => {
      if (text === "") return setFound(nothing);
      void Promise.all([
        call("findPeople", {}, { text }),
        call("searchCatalogue", { text, limit: "40" }),
      ]).then(([people, exercises]) => {
        if (!current) return;
        const failed = [people, exercises].find((answer) => !answer.ok);
        const persons = people.ok ? people.value.people : [];
        const hits = exercises.ok ? exercises.value.hits : [];
        const moves = hits
          .filter((hit, n) => hits.findIndex((h) => h.exerciseId === hit.exerciseId) === n)
          .slice(0, mostExercises);
        const [person] = persons;
        const [move] = moves;
        if (person) onFirst(`person ${person.episodeId}`);
        else if (move) onFirst(`exercise ${move.exerciseId}`);
        setFound({
          people: persons,
          exercises: moves,
          problem: failed && !failed.ok ? failed.problem : null,
        });
      });
    }, askAfterMs);
    return () => {
      current = false;
      clearTimeout(timer);
    };
  }, [text, onFirst]);
  return found;
}
