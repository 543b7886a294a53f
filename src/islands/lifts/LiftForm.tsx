import { Controller, useForm } from "react-hook-form";
import type { LiftsView } from "~/contract/lifts";
import { liftFeelings } from "~/core/lift/lift";
import FormFeet from "~/islands/frame/FormFeet";
import InPounds from "~/islands/frame/InPounds";
import ProblemNote from "~/islands/frame/ProblemNote";
import TapChoice from "~/islands/frame/TapChoice";
import { useWrite } from "~/islands/frame/use-write";
import { label, t } from "~/messages/say";
import { liftBody, liftFields, sayLiftField, type LiftFields } from "./lift-draft";

interface Props {
  view: LiftsView;
  /** The entry that is corrected; null for a new one. */
  corrected: LiftsView["lifts"][number] | null;
  /** Movements written down before, to be chosen again. */
  movements: readonly string[];
  onWritten: (next: LiftsView) => void;
  onCancel: () => void;
}

/** One lift: what, how often, how heavy, how it felt. */
export default function LiftForm({ view, corrected, movements, onWritten, onCancel }: Props) {
  const { register, control, watch, setValue, handleSubmit, setError, formState } = useForm<LiftFields>({
    defaultValues: liftFields(corrected, view.today),
  });
  const { send, busy, problem } = useWrite("recordLift", { id: view.episodeId });
  const submit = (also: { meant?: true; withdrawn?: true }) =>
    handleSubmit(async (fields) => {
      const body = liftBody(fields);
      if (!body) return setError("root", { message: t("lifts.needed") });
      const supersedes = corrected ? { supersedes: corrected.id } : {};
      const done = await send({ ...body, ...supersedes, ...also }, corrected?.id ?? "new");
      if (done) onWritten(done.lifts);
    });
  const number = (name: "sets" | "reps" | "loadKg") => (
    <label className="flex flex-col gap-1 text-sm font-medium">
      {t(name === "loadKg" ? "lifts.load" : `lifts.${name}`)}
      <input className="input w-full" inputMode="decimal" autoComplete="off" {...register(name)} />
    </label>
  );
  return (
    <form
      onSubmit={submit({})}
      className="bg-base-100 border-base-300 rounded-box flex flex-col gap-2 border p-3"
      data-testid="lift-form"
      noValidate
    >
      <h2 className="text-lg font-semibold">{t(corrected ? "lifts.correct" : "lifts.add")}</h2>
      <div className="grid grid-cols-3 gap-2">
        <label className="col-span-2 flex flex-col gap-1 text-sm font-medium">
          {t("lifts.movement")}
          <input
            className="input w-full"
            list="known-movements"
            maxLength={60}
            autoComplete="off"
            {...register("movement")}
          />
        </label>
        <datalist id="known-movements">
          {movements.map((movement) => (
            <option key={movement} value={movement} />
          ))}
        </datalist>
        <label className="flex flex-col gap-1 text-sm font-medium">
          {t("lifts.on")}
          <input className="input w-full" type="date" max={view.today} {...register("on")} />
        </label>
        {number("sets")}
        {number("reps")}
        {number("loadKg")}
        <InPounds label={t("lifts.load")} kg={watch("loadKg")} onKg={(kg) => setValue("loadKg", kg)} />
      </div>
      <Controller
        control={control}
        name="felt"
        render={({ field }) => (
          <TapChoice
            label={t("lifts.felt")}
            name="lift-felt"
            options={liftFeelings.map((code) => [code, label("lifts.felt", code)] as const)}
            value={field.value}
            onChange={field.onChange}
          />
        )}
      />
      <label className="flex flex-col gap-1 text-sm font-medium">
        {t("lifts.note")}
        <input className="input w-full" maxLength={200} {...register("note")} />
      </label>
      {formState.errors.root && (
        <p role="alert" className="text-error text-sm font-medium">
          {formState.errors.root.message}
        </p>
      )}
      <ProblemNote problem={problem} sayPath={sayLiftField} onMeant={() => void submit({ meant: true })()} />
      <FormFeet
        submit={t(corrected ? "lifts.sign" : "lifts.record")}
        disabled={busy}
        onCancel={corrected ? onCancel : undefined}
      >
        {corrected && (
          <button type="button" className="btn" onClick={() => void submit({ withdrawn: true })()}>
            {t("lifts.withdraw")}
          </button>
        )}
      </FormFeet>
    </form>
  );
}
