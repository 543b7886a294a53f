import { useState } from "react";
import type { FoundPerson, PersonView } from "~/contract/people";
import type { Problem } from "~/contract/problem";
import { call } from "~/islands/frame/call";
import ProblemNote from "~/islands/frame/ProblemNote";
import ReasonForm from "~/islands/frame/ReasonForm";
import SearchBox from "~/islands/frame/SearchBox";
import { sayTime, t } from "~/messages/say";

/** The same person entered twice: the other entry is found by name and merged into this one; a merge can be taken back. */
export default function MergeBox({ view, onSigned }: { view: PersonView; onSigned: () => void }) {
  const { episodeId, merges, episodes, zone } = view;
  const [text, setText] = useState("");
  const [found, setFound] = useState<readonly FoundPerson[]>([]);
  const [chosen, setChosen] = useState<FoundPerson | null>(null);
  const [back, setBack] = useState<string | null>(null);
  const [problem, setProblem] = useState<Problem | null>(null);
  const own = new Set(episodes.map((episode) => episode.episodeId));

  const look = async (event: React.FormEvent) => {
    event.preventDefault();
    if (text.trim() === "") return;
    const answer = await call("findPeople", {}, { text: text.trim() });
    setProblem(answer.ok ? null : answer.problem);
    setFound(answer.ok ? answer.value.people.filter((one) => !own.has(one.episodeId)) : []);
  };
  const done = () => {
    setChosen(null);
    setBack(null);
    setFound([]);
    setText("");
    onSigned();
  };

  return (
    <section className="bg-base-100 border-base-300 rounded-box border p-3" data-testid="merge">
      <h3 className="text-lg font-semibold">{t("person.merge")}</h3>
      <p className="text-sm">{t("person.mergeHelp")}</p>
      <ProblemNote problem={problem} />
      <form className="mt-2 flex flex-wrap gap-2" onSubmit={(event) => void look(event)}>
        <SearchBox
          label={t("person.mergeFind")}
          placeholder={t("person.mergeFind")}
          value={text}
          onChange={setText}
          width="w-64 max-w-full"
        />
        <button className="btn bg-base-100 border-base-300">{t("person.mergeLook")}</button>
      </form>
      <ul className="mt-2">
        {found.map((one) => (
          <li
            key={one.episodeId}
            className="border-base-300 flex min-h-11 flex-wrap items-center gap-2 border-t py-1"
          >
            <span className="grow">
              {one.person.givenName} {one.person.familyName}, {t("palette.born", { year: one.birthYear })} ·{" "}
              {one.diagnosis}
            </span>
            <button type="button" className="btn" onClick={() => setChosen(one)}>
              {t("person.mergeChoose")}
            </button>
          </li>
        ))}
      </ul>
      {chosen && (
        <ReasonForm
          write="mergePeople"
          values={{ id: episodeId }}
          body={(reason) => ({ otherEpisode: chosen.episodeId, reason })}
          about={chosen.episodeId}
          label={t("person.mergeReason")}
          submit={t("person.mergeSign")}
          onDone={done}
          onCancel={() => setChosen(null)}
        >
          <p className="text-sm">
            {t("person.mergeMeans", { name: `${chosen.person.givenName} ${chosen.person.familyName}` })}
          </p>
        </ReasonForm>
      )}
      {merges.length > 0 && (
        <ul className="mt-2">
          {merges.map(({ id, at, by, moved, reason, back: isBack, standing }) => (
            <li key={id} className="border-base-300 border-t py-1 text-sm">
              <span className="font-medium">
                {t(isBack ? "person.mergedBack" : "person.merged", { count: moved })}
              </span>{" "}
              “{reason}” · {by}, {sayTime(at, zone)}
              {standing && back !== id && (
                <button type="button" className="link ml-2 min-h-11" onClick={() => setBack(id)}>
                  {t("person.mergeBack")}
                </button>
              )}
              {back === id && (
                <ReasonForm
                  write="mergePeople"
                  values={{ id: episodeId }}
                  body={(why) => ({ takesBack: id, reason: why })}
                  about={id}
                  label={t("person.mergeBackReason")}
                  submit={t("person.mergeBackSign")}
                  onDone={done}
                  onCancel={() => setBack(null)}
                />
              )}
            </li>
          ))}
        </ul>
      )}
    </section>
  );
}
