import { useState } from "react";
import type { PersonView } from "~/contract/people";
import ReasonForm from "~/islands/frame/ReasonForm";
import { sayTime, t } from "~/messages/say";

/** A person's data for the lead: everything as a file or to print, who looked at it, and erasure. */
export default function TrustBox({ view: { episodeId, zone, erasureAskedAt } }: { view: PersonView }) {
  const [asking, setAsking] = useState(false);
  const [familyName, setFamilyName] = useState("");
  const [askedAt, setAskedAt] = useState(erasureAskedAt);
  return (
    <section className="bg-base-100 border-base-300 rounded-box border p-3" data-testid="trust">
      <h3 className="text-lg font-semibold">{t("person.trust")}</h3>
      <div className="mt-2 flex flex-wrap gap-2">
        <a className="btn" href={`/api/episodes/${episodeId}/person-file`} download>
          {t("person.export")}
        </a>
        <a className="btn" href={`/episodes/${episodeId}/everything`}>
          {t("person.print")}
        </a>
        <a className="btn" href={`/clinic/log?episode=${episodeId}`}>
          {t("person.log")}
        </a>
        {askedAt === null && !asking && (
          <button type="button" className="btn btn-error btn-outline" onClick={() => setAsking(true)}>
            {t("person.erase")}
          </button>
        )}
      </div>
      {askedAt !== null && (
        <p className="mt-2 font-medium" role="status">
          {t("person.eraseAsked", { time: sayTime(askedAt, zone) })}
        </p>
      )}
      {asking && askedAt === null && (
        <ReasonForm
          write="askErasure"
          values={{ id: episodeId }}
          body={(reason) => ({ familyName, reason })}
          label={t("person.eraseReason")}
          submit={t("person.eraseSign")}
          onDone={(written) => setAskedAt(written.askedAt)}
          onCancel={() => setAsking(false)}
        >
          <p className="text-sm">{t("person.eraseHelp")}</p>
          <label className="flex flex-col gap-1 text-sm font-medium">
            {t("person.eraseName")}
            <input
              className="input w-full"
              autoComplete="off"
              value={familyName}
              onChange={(event) => setFamilyName(event.target.value)}
            />
          </label>
        </ReasonForm>
      )}
    </section>
  );
}
