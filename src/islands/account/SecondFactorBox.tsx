import { useState } from "react";
import type { AccountView, SecondFactorOffer } from "~/contract/account";
import type { Problem } from "~/contract/problem";
import { call } from "~/islands/frame/call";
import ProblemNote from "~/islands/frame/ProblemNote";
import { t } from "~/messages/say";
import PasswordField from "./PasswordField";
import { problemAt, problemElsewhere } from "./problem-at";

interface Props {
  view: AccountView;
  onChanged: (view: AccountView) => void;
  /** That codes are shown which nobody will see again, and that they were put away. */
  onCodes: (stand: boolean) => void;
}

/** The second factor: set up with an app, confirmed by a code of it, turned off with the password. */
export default function SecondFactorBox({ view, onChanged, onCodes }: Props) {
  const [password, setPassword] = useState("");
  const [asking, setAsking] = useState(false);
  const [offer, setOffer] = useState<SecondFactorOffer | null>(null);
  const [code, setCode] = useState("");
  const [codes, setCodes] = useState<readonly string[]>([]);
  const [problem, setProblem] = useState<Problem | null>(null);

  const withPassword = async (event: React.FormEvent) => {
    event.preventDefault();
    if (view.secondFactor) {
      const answer = await call("dropSecondFactor", {}, { password });
      setProblem(answer.ok ? null : answer.problem);
      if (!answer.ok) return;
      onChanged(answer.value);
    } else {
      const answer = await call("offerSecondFactor", {}, { password });
      setProblem(answer.ok ? null : answer.problem);
      if (!answer.ok) return;
      setOffer(answer.value);
    }
    setAsking(false);
    setPassword("");
  };
  const confirm = async (event: React.FormEvent) => {
    event.preventDefault();
    const answer = await call("confirmSecondFactor", {}, { code });
    setProblem(answer.ok ? null : answer.problem);
    if (!answer.ok) return;
    setOffer(null);
    setCode("");
    setCodes(answer.value.recoveryCodes);
    onCodes(true);
    onChanged(answer.value.account);
  };
  const putAway = () => {
    setCodes([]);
    onCodes(false);
  };

  return (
    <section
      className="bg-base-100 border-base-300 rounded-box flex flex-col gap-3 border p-3"
      data-testid="second-factor"
    >
      <h2 className="text-lg font-semibold">{t("account.factor")}</h2>
      <ProblemNote problem={problemElsewhere(problem)} />
      {codes.length > 0 ? (
        <>
          <p>{t("account.recoveryHelp")}</p>
          <ul className="grid grid-cols-2 gap-1 font-mono text-lg" aria-label={t("account.recovery")}>
            {codes.map((one) => (
              <li key={one}>{one}</li>
            ))}
          </ul>
          <button type="button" className="btn btn-primary self-start" onClick={putAway}>
            {t("account.recoveryDone")}
          </button>
        </>
      ) : offer ? (
        <form className="flex flex-col gap-3" noValidate onSubmit={(event) => void confirm(event)}>
          <p>{t("account.factorScan")}</p>
          <img
            className="size-44 self-start rounded-md bg-white"
            alt={t("account.picture")}
            src={`data:image/svg+xml;utf8,${encodeURIComponent(offer.picture)}`}
          />
          <p className="text-sm">
            {t("account.factorKey")}: <span className="font-mono break-all">{offer.secret}</span>
          </p>
          <label className="flex flex-col gap-1">
            <span className="font-medium">{t("account.factorCode")}</span>
            <input
              className="input w-40 font-mono text-lg"
              inputMode="numeric"
              autoComplete="one-time-code"
              maxLength={7}
              value={code}
              aria-invalid={!!problemAt(problem, "/code")}
              onChange={(event) => setCode(event.target.value)}
            />
          </label>
          {problemAt(problem, "/code") && (
            <p className="text-error text-sm" role="alert">
              {t("account.factorCode")}: {problemAt(problem, "/code")}
            </p>
          )}
          <button className="btn btn-primary self-start" disabled={code.trim().length < 6}>
            {t("account.factorConfirm")}
          </button>
        </form>
      ) : (
        <>
          <p>
            {view.secondFactor
              ? t("account.factorOn", { left: view.recoveryCodesLeft })
              : t("account.factorOff")}
          </p>
          {asking ? (
            <form className="flex flex-col gap-3" noValidate onSubmit={(event) => void withPassword(event)}>
              <PasswordField
                label={t("account.factorAsk")}
                value={password}
                onChange={setPassword}
                kind="current"
                wrong={problemAt(problem, "/password")}
              />
              <button className="btn btn-primary self-start" disabled={password === ""}>
                {t(view.secondFactor ? "account.factorDrop" : "account.factorBegin")}
              </button>
            </form>
          ) : (
            <button
              type="button"
              className={`btn self-start ${view.factorDemanded && !view.secondFactor ? "btn-primary" : ""}`}
              onClick={() => setAsking(true)}
            >
              {t(view.secondFactor ? "account.factorDrop" : "account.factorBegin")}
            </button>
          )}
        </>
      )}
    </section>
  );
}
