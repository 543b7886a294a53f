import { useState } from "react";
import { useForm } from "react-hook-form";
import type { Problem } from "~/contract/problem";
import { call } from "~/islands/frame/call";
import ProblemNote from "~/islands/frame/ProblemNote";
import { t } from "~/messages/say";
import { island } from "~/islands/frame/island";

interface Fields {
  email: string;
  password: string;
}

/** The way in. */
function SignIn() {
  const [problem, setProblem] = useState<Problem | null>(null);
  const { register, handleSubmit, formState } = useForm<Fields>();
  const submit = handleSubmit(async (fields) => {
    const answer = await call("signIn", {}, fields);
    if (answer.ok) location.assign("/");
    else setProblem(answer.problem);
  });
  return (
    <form onSubmit={submit} method="post" className="flex flex-col gap-4" noValidate>
      <ProblemNote problem={problem} />
      <label className="flex flex-col gap-1">
        <span className="font-medium">{t("signIn.email")}</span>
        <input
          type="email"
          className="input input-lg w-full"
          autoComplete="username"
          autoFocus
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
          {...register("password", { required: true })}
          aria-invalid={!!formState.errors.password}
        />
      </label>
      <button className="btn btn-primary btn-lg mt-1" disabled={formState.isSubmitting}>
        {formState.isSubmitting ? t("signIn.working") : t("signIn.submit")}
      </button>
    </form>
  );
}

export default island(SignIn);
