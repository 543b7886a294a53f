import { useState } from "react";
import type { Problem } from "~/contract/problem";
import { call } from "~/islands/frame/call";
import { island } from "~/islands/frame/island";
import ProblemNote from "~/islands/frame/ProblemNote";
import { t } from "~/messages/say";
import NewPassword from "./NewPassword";
import { problemElsewhere } from "./problem-at";

/** Sets a password by the link's token, which stands behind the # and so never reaches a server's log. */
function SetPassword() {
  const [token] = useState(() => location.hash.slice(1));
  const [password, setPassword] = useState("");
  const [problem, setProblem] = useState<Problem | null>(null);
  const [email, setEmail] = useState("");
  const submit = async (event: React.FormEvent) => {
    event.preventDefault();
    const answer = await call("setPassword", {}, { token, password });
    if (!answer.ok) return setProblem(answer.problem);
    history.replaceState(null, "", location.pathname);
    setEmail(answer.value.email);
  };
  if (email)
    return (
      <div role="status">
        <p>{t("password.set", { email })}</p>
        <a className="btn btn-primary mt-4" href="/sign-in">
          {t("signIn.title")}
        </a>
      </div>
    );
  if (token.length < 20) return <p role="alert">{t("password.missing")}</p>;
  return (
    <form className="flex flex-col gap-4" noValidate onSubmit={(event) => void submit(event)}>
      <ProblemNote problem={problemElsewhere(problem)} />
      <NewPassword value={password} onChange={setPassword} problem={problem} />
      <button className="btn btn-primary btn-lg" disabled={password === ""}>
        {t("password.submit")}
      </button>
    </form>
  );
}

export default island(SetPassword);
