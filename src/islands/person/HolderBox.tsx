import { useState } from "react";
import type { PersonView } from "~/contract/people";
import ReasonForm from "~/islands/frame/ReasonForm";
import { sayTime, t } from "~/messages/say";

/** Who looks after the episode, and handing it to a colleague. */
export default function HolderBox({ view, onSigned }: { view: PersonView; onSigned: () => void }) {
  const { episodeId, heldBy, colleagues, handovers, maySign, zone } = view;
  const [asking, setAsking] = useState(false);
  const [toStaff, setToStaff] = useState(colleagues[0]?.id ?? "");
  return (
    <section className="bg-base-100 border-base-300 rounded-box border p-3" data-testid="holder">
      <h3 className="text-lg font-semibold">
        {heldBy === null ? t("person.heldByNobody") : t("person.heldBy", { name: heldBy })}
      </h3>
      {maySign && colleagues.length > 0 && !asking && (
        <button
          type="button"
          className="btn bg-base-100 border-base-300 mt-2"
          onClick={() => setAsking(true)}
        >
          {t("person.handOver")}
        </button>
      )}
      {asking && (
        <ReasonForm
          write="handOver"
          values={{ id: episodeId }}
          body={(reason) => ({ toStaff, reason })}
          about={toStaff}
          label={t("person.handOverReason")}
          submit={t("person.handOverSign")}
          onDone={() => {
            setAsking(false);
            onSigned();
          }}
          onCancel={() => setAsking(false)}
        >
          <label className="flex flex-col gap-1 text-sm font-medium">
            {t("person.handOverTo")}
            <select
              className="select w-full"
              value={toStaff}
              onChange={(event) => setToStaff(event.target.value)}
            >
              {colleagues.map(({ id, name }) => (
                <option key={id} value={id}>
                  {name}
                </option>
              ))}
            </select>
          </label>
        </ReasonForm>
      )}
      {handovers.length > 0 && (
        <ul className="mt-2">
          {handovers.map(({ id, at, by, to, reason }) => (
            <li key={id} className="border-base-300 border-t py-1 text-sm">
              <span className="font-medium">{t("person.handedTo", { name: to })}</span> “{reason}” · {by},{" "}
              {sayTime(at, zone)}
            </li>
          ))}
        </ul>
      )}
    </section>
  );
}
