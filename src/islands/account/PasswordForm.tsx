import { useState } from "react";
import type { AccountView } from "~/contract/account";
import type { Problem } from "~/contract/problem";
import { call } from "~/islands/frame/call";
import ProblemNote from "~/islands/frame/ProblemNote";
import { t } from "~/messages/say";
import NewPassword from "./NewPassword";
import PasswordField from "./PasswordField";
import { problemAt, problemElsewhere } from "./problem-at";

/** Changes one's own password, with the one before. */
export default function PasswordForm({ onChanged }: { onChanged: (view: AccountView) => void }) {
  const [current, setCurrent] = useState("");
  const [password, setPassword] = useState("");
  const [problem, setProblem] = useState<Problem | null>(null);
  const [done, setDone] = useState(false);
  const submit = async (event: React.FormEvent) => {
    event.preventDefault();
    const answer = await call("changePassword", {}, { current, password });
    setProblem(answer.ok ? null : answer.problem);
    setDone(answer.ok);
    if (!answer.ok) return;
    setCurrent("");
    setPassword("");
    onChanged(answer.value);
  };
  return (
    <form
      className="bg-base-100 border-base-300 rounded-box flex flex-col gap-3 border p-3"
      noValidate
      data-testid="password"
      onSubmit={(event) => void submit(event)}
    >
      <h2 className="text-lg font-semibold">{t("account.password")}</h2>
      <ProblemNote problem={problemElsewhere(problem)} />
      <PasswordField
        label={t("account.current")}
        value={current}
        onChange={setCurrent}
        kind="current"
        wrong={problemAt(problem, "/current")}
      />
      <NewPassword value={password} onChange={setPassword} problem={problem} />
      <div className="flex flex-wrap items-center gap-3">
        <button className="btn btn-primary" disabled={current === "" || password === ""}>
          {t("account.change")}
        </button>
        <p role="status" className="text-success font-medium">
          {done && t("account.changed")}
        </p>
      </div>
    </form>
  );
}
