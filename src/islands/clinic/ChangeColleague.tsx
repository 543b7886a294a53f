import { useState } from "react";
import { staffChangeKinds, type Colleague, type StaffChangeBody, type StaffView } from "~/contract/staff";
import { roles } from "~/contract/roles";
import ReasonForm from "~/islands/frame/ReasonForm";
import { t } from "~/messages/say";

type Kind = StaffChangeBody["kind"];

interface Props {
  who: Colleague;
  onDone: (staff: StaffView) => void;
  onCancel: () => void;
}

/** One change of a colleague, with its reason. */
export default function ChangeColleague({ who, onDone, onCancel }: Props) {
  const possible = staffChangeKinds.filter((kind) => isPossible(kind, who));
  const [kind, setKind] = useState<Kind>(possible[0] ?? "name");
  const [value, setValue] = useState(who.name);
  const choose = (next: Kind) => {
    setKind(next);
    setValue(next === "name" || next === "email" || next === "role" ? who[next] : "");
  };
  const typed = kind === "name" || kind === "email";
  return (
    <ReasonForm
      write="changeColleague"
      values={{}}
      body={(reason) => ({ staffId: who.id, kind, reason, ...(value === "" ? {} : { value }) })}
      about={`${who.id} ${kind}`}
      label={t("staff.reason")}
      submit={t("staff.sign")}
      onDone={(written) => onDone(written.staff)}
      onCancel={onCancel}
    >
      <div className="flex flex-wrap gap-3">
        <label className="flex flex-col gap-1 text-sm font-medium">
          {t("staff.what")}
          <select
            className="select w-64"
            value={kind}
            onChange={(event) => choose(event.target.value as Kind)}
          >
            {possible.map((one) => (
              <option key={one} value={one}>
                {t(`staff.kind.${one}`)}
              </option>
            ))}
          </select>
        </label>
        {typed && (
          <label className="flex grow flex-col gap-1 text-sm font-medium">
            {t(`staff.kind.${kind}`)}
            <input
              className="input w-full"
              type={kind === "email" ? "email" : "text"}
              maxLength={190}
              value={value}
              onChange={(event) => setValue(event.target.value)}
            />
          </label>
        )}
        {kind === "role" && (
          <label className="flex flex-col gap-1 text-sm font-medium">
            {t("staff.kind.role")}
            <select className="select w-44" value={value} onChange={(event) => setValue(event.target.value)}>
              {roles.map((one) => (
                <option key={one} value={one}>
                  {t(`role.${one}`)}
                </option>
              ))}
            </select>
          </label>
        )}
      </div>
      {!typed && kind !== "role" && <p className="text-sm">{t(`staff.means.${kind}`)}</p>}
    </ReasonForm>
  );
}

function isPossible(kind: Kind, { active, secondFactor }: Colleague): boolean {
  if (kind === "second-factor-off") return secondFactor;
  return kind === "reactivate" ? !active : active;
}
