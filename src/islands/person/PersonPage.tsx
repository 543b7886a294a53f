import { useCallback, useState } from "react";
import type { Identity, PersonView } from "~/contract/people";
import { call } from "~/islands/frame/call";
import { island } from "~/islands/frame/island";
import { label, sayLongDate, sayTime, t } from "~/messages/say";
import IdentityForm from "./IdentityForm";
import HolderBox from "./HolderBox";
import MergeBox from "./MergeBox";
import TrustBox from "./TrustBox";
import StandingBox from "./StandingBox";

/** Who a patient is, how this episode stands, and the person's other episodes. */
function PersonPage({ view: loaded }: { view: PersonView }) {
  const [view, setView] = useState(loaded);
  const [notice, setNotice] = useState("");
  const renew = useCallback(
    async (said: string) => {
      const answer = await call("readPerson", { id: loaded.episodeId });
      if (answer.ok) setView(answer.value);
      setNotice(said);
    },
    [loaded.episodeId],
  );
  return (
    <div className="mx-auto max-w-7xl px-4 py-4">
      <h2 className="sr-only">{t("person.pageTitle")}</h2>
      <p role="status" className="text-success min-h-6 text-sm font-medium">
        {notice}
      </p>
      <div className="grid grid-cols-[minmax(0,1fr)] items-start gap-3 lg:grid-cols-2">
        <div className="flex flex-col gap-3">
          <IdentityForm key={view.changes.length} view={view} onSigned={() => renew(t("person.putRight"))} />
          {view.maySet && <MergeBox view={view} onSigned={() => void renew(t("person.turned"))} />}
          {view.maySet && <TrustBox view={view} />}
        </div>
        <div className="flex flex-col gap-3">
          <StandingBox view={view} onSigned={() => renew(t("person.turned"))} />
          <section className="bg-base-100 border-base-300 rounded-box border p-3" data-testid="episodes">
            <h3 className="text-lg font-semibold">{t("person.episodes")}</h3>
            <ul>
              {view.episodes.map(({ episodeId, diagnosis, involvedSide, startedAt, state }) => (
                <li
                  key={episodeId}
                  className="border-base-300 flex min-h-11 flex-wrap items-center gap-x-2 border-t"
                >
                  {episodeId === view.episodeId ? (
                    <strong>
                      {diagnosis}, {t(`side.${involvedSide}`)}
                    </strong>
                  ) : (
                    <a className="link inline-flex min-h-11 items-center" href={`/episodes/${episodeId}`}>
                      {diagnosis}, {t(`side.${involvedSide}`)}
                    </a>
                  )}
                  <span className="text-base-content/75 text-sm">
                    {t("person.since", { date: sayLongDate(startedAt.slice(0, 10)) })} ·{" "}
                    {t(`person.state.${state}`)}
                  </span>
                </li>
              ))}
            </ul>
            <a className="btn bg-base-100 border-base-300 mt-2" href={`/intake?beside=${view.episodeId}`}>
              {t("stair.another")}
            </a>
          </section>
          <HolderBox key={view.heldBy ?? ""} view={view} onSigned={() => void renew(t("person.turned"))} />
          {view.changes.length > 0 && (
            <section className="bg-base-100 border-base-300 rounded-box border p-3" data-testid="changes">
              <h3 className="text-lg font-semibold">{t("person.changes")}</h3>
              <ul>
                {view.changes.map(({ id, at, by, before, after, reason }) => (
                  <li key={id} className="border-base-300 border-t py-1 text-sm">
                    <ul className="font-medium">
                      {changedParts(before, after).map((line) => (
                        <li key={line}>{line}</li>
                      ))}
                    </ul>
                    “{reason}” · {by}, {sayTime(at, view.zone)}
                  </li>
                ))}
              </ul>
            </section>
          )}
        </div>
      </div>
    </div>
  );
}

const parts = ["givenName", "familyName", "bornOn", "activity", "contact", "normGroup"] as const;

/** What differs between who somebody was said to be and who they are, a line each. */
function changedParts(before: Identity, after: Identity): string[] {
  return parts
    .filter((part) => before[part] !== after[part])
    .map((part) =>
      t("person.was", {
        what: t(`person.${part}`),
        before: sayPart(part, before[part]),
        after: sayPart(part, after[part]),
      }),
    );
}

function sayPart(part: keyof Identity, value: string | null): string {
  if (value === null) return t("person.normGroup.none");
  if (part === "normGroup") return label("person.normGroup", value);
  return part === "bornOn" ? sayLongDate(value) : value;
}

export default island(PersonPage);
