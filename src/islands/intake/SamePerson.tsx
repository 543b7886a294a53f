import { UserRoundSearch } from "lucide-react";
import { useEffect, useState } from "react";
import type { FoundPerson } from "~/contract/people";
import { call } from "~/islands/frame/call";
import { t } from "~/messages/say";

interface Props {
  familyName: string;
  /** Local date, as far as it is typed. */
  bornOn: string;
}

const askAfterMs = 300;

/** Whoever the clinic knows by this family name and year of birth, so that nobody is taken in twice. */
export default function SamePerson({ familyName, bornOn }: Props) {
  const [found, setFound] = useState<readonly FoundPerson[]>([]);
  const year = /^\d{4}-\d{2}-\d{2}$/.test(bornOn) ? bornOn.slice(0, 4) : "";
  const name = familyName.trim();
  useEffect(() => {
    let current = true;
    const timer = setTimeout(() => {
      if (name.length < 2 || year === "") return setFound([]);
      void call("findPeople", {}, { text: `${name} ${year}`.slice(0, 80) }).then((answer) => {
        if (current) setFound(answer.ok ? answer.value.people : []);
      });
    }, askAfterMs);
    return () => {
      current = false;
      clearTimeout(timer);
    };
  }, [name, year]);
  if (found.length === 0) return null;
  return (
    <div
      className="alert alert-warning alert-soft text-base-content col-span-2 items-start"
      data-testid="same-person"
    >
      <UserRoundSearch className="size-5 shrink-0" aria-hidden />
      <div role="status">
        <p className="font-semibold">{t("intake.same")}</p>
        <ul>
          {found.map(({ episodeId, person, birthYear, diagnosis, state }) => (
            <li key={episodeId} className="flex flex-wrap items-center gap-x-3">
              <span>
                {person.givenName} {person.familyName}, {t("palette.born", { year: birthYear })} · {diagnosis}
                {state !== "active" && ` (${t(`palette.state.${state}`)})`}
              </span>
              <a className="link inline-flex min-h-11 items-center" href={`/episodes/${episodeId}/person`}>
                {t("intake.sameOpen")}
              </a>
              <a className="link inline-flex min-h-11 items-center" href={`/intake?beside=${episodeId}`}>
                {t("intake.sameBeside")}
              </a>
            </li>
          ))}
        </ul>
      </div>
    </div>
  );
}
