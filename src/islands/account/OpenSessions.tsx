import { useState } from "react";
import type { AccountView } from "~/contract/account";
import type { Problem } from "~/contract/problem";
import { call } from "~/islands/frame/call";
import ProblemNote from "~/islands/frame/ProblemNote";
import { sayTime, t } from "~/messages/say";

interface Props {
  view: AccountView;
  zone: string;
  onChanged: (view: AccountView) => void;
}

/** Where one is signed in, and the way out of each. */
export default function OpenSessions({ view: { sessions }, zone, onChanged }: Props) {
  const [problem, setProblem] = useState<Problem | null>(null);
  const end = async (session: string) => {
    const answer = await call("endSessions", {}, { session });
    setProblem(answer.ok ? null : answer.problem);
    if (answer.ok) onChanged(answer.value);
  };
  return (
    <section className="bg-base-100 border-base-300 rounded-box border p-3" data-testid="sessions">
      <h2 className="text-lg font-semibold">{t("account.sessions")}</h2>
      <ProblemNote problem={problem} />
      <ul>
        {sessions.map(({ name, createdAt, lastSeenAt, current }) => (
          <li key={name} className="border-base-300 flex min-h-11 flex-wrap items-center gap-2 border-t py-1">
            <span>
              {t("account.session", { since: sayTime(createdAt, zone), seen: sayTime(lastSeenAt, zone) })}
            </span>
            {current ? (
              <span className="badge badge-neutral">{t("account.here")}</span>
            ) : (
              <button type="button" className="btn ml-auto" onClick={() => void end(name)}>
                {t("account.end")}
              </button>
            )}
          </li>
        ))}
      </ul>
      {sessions.length > 1 && (
        <button type="button" className="btn mt-2" onClick={() => void end("others")}>
          {t("account.endOthers")}
        </button>
      )}
    </section>
  );
}
