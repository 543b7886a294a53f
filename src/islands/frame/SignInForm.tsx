import { useState } from "react";
import { useForm } from "react-hook-form";
import type { Problem } from "~/contract/problem";
import { call } from "./call";
import ProblemNote from "./ProblemNote";
import { t } from "~/messages/say";

interface Fields {
  email: string;
  password: string;
  code: string;
}

interface Props {
  /** Who signs in again; asked for where nobody is known. */
  email?: string;
  onDone: () => void;
}

/** Address and password, then the code of an app for whom has a second factor. */
export default function SignInForm({ email, onDone }: Props) {
  const [problem, setProblem] = useState<Problem | null>(null);
  const [asksCode, setAsksCode] = useState(false);
  const { register, handleSubmit, formState, setFocus } = useForm<Fields>({
    defaultValues: { email: email ?? "", password: "", code: "" },
  });
  const submit = handleSubmit(async ({ code, ...fields }) => {
    const answer = await call(
      "signIn",
      {},
      { ...fields, ...(code.trim() === "" ? {} : { code: code.trim() }) },
    );
    if (answer.ok) return onDone();
    if (answer.problem.type === "/problems/code-needed") {
      setAsksCode(true);
      setProblem(null);
      setTimeout(() => setFocus("code"));
      return;
    }
    setProblem(answer.problem);
  });
  return (
    <form onSubmit={submit} method="dialog" className="flex flex-col gap-4" noValidate>
      <ProblemNote problem={problem} />
      <label className={email === undefined ? "flex flex-col gap-1" : "hidden"}>
        <span className="font-medium">{t("signIn.email")}</span>
        <input
          type="email"
          className="input input-lg w-full"
          autoComplete="username"
          autoFocus={email === undefined}
          {...register("email", { required: true })}
          aria-invalid={!!formState.errors.email}
        />
      </label>
      <label className="flex flex-col gap-1">
        <span className="font-medium">{t("signIn.password")}</span>
        <input
          type="password"
          className="input input-lg w-full"
          autoComplete="current-password"
          autoFocus={email !== undefined}
          {...register("password", { required: true })}
          aria-invalid={!!formState.errors.password}
        />
      </label>
      {asksCode && (
        <label className="flex flex-col gap-1">
          <span className="font-medium">{t("signIn.code")}</span>
          <input
            className="input input-lg w-full font-mono"
            inputMode="text"
            autoComplete="one-time-code"
            maxLength={20}
            {...register("code")}
          />
          <span className="text-base-content/75 text-sm">{t("signIn.codeHelp")}</span>
        </label>
      )}
      <button className="btn btn-primary btn-lg mt-1" disabled={formState.isSubmitting}>
        {formState.isSubmitting ? t("signIn.working") : t("signIn.submit")}
      </button>
    </form>
  );
}
