import { useState } from "react";
import type { AccountView } from "~/contract/account";
import { island } from "~/islands/frame/island";
import { t } from "~/messages/say";
import OpenSessions from "./OpenSessions";
import PasswordForm from "./PasswordForm";
import PreferencesForm from "./PreferencesForm";
import SecondFactorBox from "./SecondFactorBox";

/** Whether nothing else is open until a second factor is set up. */
const lacksFactor = ({ factorDemanded, secondFactor }: AccountView) => factorDemanded && !secondFactor;

/** One's own account: password, second factor, where one is signed in, how one likes it. */
function AccountPage({ view: loaded, zone }: { view: AccountView; zone: string }) {
  const [view, setView] = useState(loaded);
  const [closed] = useState(lacksFactor(loaded));
  const [codesStand, setCodesStand] = useState(false);
  const factor = <SecondFactorBox view={view} onChanged={setView} onCodes={setCodesStand} />;
  return (
    <div className="mx-auto max-w-5xl px-4 py-4">
      <h1 className="text-2xl font-bold">{t("account.title")}</h1>
      <p className="text-base-content/80">
        {view.name}, {t(`role.${view.role}`)} · {view.email}
      </p>
      {closed && !codesStand && (
        <div
          role={lacksFactor(view) ? "alert" : "status"}
          className={`alert mt-3 ${lacksFactor(view) ? "alert-warning" : "alert-success"}`}
        >
          {lacksFactor(view) ? t("account.factorDemanded") : t("account.factorReady")}
          {!lacksFactor(view) && (
            <a className="btn btn-sm" href="/">
              {t("account.goOn")}
            </a>
          )}
        </div>
      )}
      <div className="mt-3 grid grid-cols-[minmax(0,1fr)] items-start gap-3 md:grid-cols-2">
        <div className="flex flex-col gap-3">
          {closed && factor}
          <PasswordForm onChanged={setView} />
          <OpenSessions view={view} zone={zone} onChanged={setView} />
        </div>
        <div className="flex flex-col gap-3">
          {!closed && factor}
          <PreferencesForm view={view} onChanged={setView} />
        </div>
      </div>
    </div>
  );
}

export default island(AccountPage);
