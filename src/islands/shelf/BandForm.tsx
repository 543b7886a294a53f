import { useState } from "react";
import { bandProblems, type Band } from "~/core/band/band";
import { sayNumber, t } from "~/messages/say";
import { ways } from "~/messages/ways";
import ScaleReader from "~/islands/device/ScaleReader";
import BandCurve from "./BandCurve";
import { bandTyped, newtonsOf, pullOf, usualStretches, withRow, type BandDraft } from "./band-draft";

interface Props {
  first: BandDraft;
  /** The other bands of the clinic. */
  others: readonly Band[];
  /** Where a scale answers on this machine. */
  devices: string;
  onDone: (band: Band) => void;
  onCancel: () => void;
}

const mostRows = 20;

/** A band being measured with a tape and a luggage scale: three stretches or more. */
export default function BandForm({ first, others, devices, onDone, onCancel }: Props) {
  const [draft, setDraft] = useState(first);
  const [wrong, setWrong] = useState<string | null>(null);
  const set = (more: Partial<BandDraft>) => setDraft((now) => ({ ...now, ...more }));
  const typed = bandTyped(draft);
  const problem = typed.ok ? bandProblems([...others, typed.band], "").at(0) : undefined;
  const isSound = typed.ok && !problem;
  const done = () => {
    if (typed.ok && !problem) return onDone(typed.band);
    const field = typed.ok ? fieldOf(problem?.path ?? "") : typed.field;
    setWrong(field);
    document.getElementById(`band-${field}`)?.focus();
  };
  const field = (name: string) => ({
    id: `band-${name}`,
    "aria-invalid": wrong === name,
    className: `input w-full ${wrong === name ? "input-error" : ""}`,
  });
  /** The first stretch whose pull is still to be read. */
  const open = draft.rows.findIndex(({ stretch, pull }) => stretch.trim() !== "" && pull.trim() === "");
  const row = (n: number, more: Partial<BandDraft["rows"][number]>) =>
    set({ rows: draft.rows.map((one, at) => (at === n ? { ...one, ...more } : one)) });
  return (
    <section
      className="bg-base-100 border-base-300 rounded-box flex flex-col gap-3 border p-3"
      data-testid="band-form"
    >
      <div className="grid items-end gap-2 sm:grid-cols-[1fr_auto_auto_8rem]">
        <label className="flex flex-col gap-1 text-sm font-medium">
          {t("band.name")}
          <input
            {...field("name")}
            maxLength={40}
            value={draft.name}
            onChange={(event) => set({ name: event.target.value })}
          />
        </label>
        <label className="flex flex-col gap-1 text-sm font-medium">
          {t("band.form")}
          <select
            className="select w-full"
            value={draft.form}
            onChange={(event) => set({ form: event.target.value as Band["form"] })}
          >
            <option value="strip">{t("band.strip")}</option>
            <option value="loop">{t("band.loop")}</option>
          </select>
        </label>
        <label className="flex flex-col gap-1 text-sm font-medium">
          {t("band.where")}
          <select
            className="select w-full"
            value={draft.where}
            onChange={(event) => set({ where: event.target.value as Band["where"] })}
          >
            <option value="clinic">{t("band.clinic")}</option>
            <option value="home">{t("band.home")}</option>
          </select>
        </label>
        <label className="flex flex-col gap-1 text-sm font-medium">
          {t("band.rest")}
          <input
            {...field("rest")}
            inputMode="decimal"
            value={draft.rest}
            onChange={(event) => set({ rest: event.target.value })}
          />
        </label>
      </div>
      <p className="text-base-content/80 text-sm">{t("band.how")}</p>
      <div className="grid gap-4 sm:grid-cols-2">
        <table className="w-full text-sm">
          <thead>
            <tr className="text-left">
              <th scope="col" className="pb-1 font-medium">
                {t("band.stretch")}
              </th>
              <th scope="col" className="pb-1 font-medium">
                {t("band.pull", { unit: ways().weight })}
              </th>
              <th scope="col" className="w-16 pb-1 text-right font-medium">
                N
              </th>
            </tr>
          </thead>
          <tbody>
            {draft.rows.map((one, n) => {
              const newtons = newtonsOf(one.pull);
              return (
                <tr key={n}>
                  <td className="pr-2 pb-1">
                    <input
                      {...field(`stretch-${n}`)}
                      inputMode="decimal"
                      aria-label={t("band.stretchOf", { number: n + 1 })}
                      value={one.stretch}
                      onChange={(event) => row(n, { stretch: event.target.value })}
                    />
                  </td>
                  <td className="pr-2 pb-1">
                    <input
                      {...field(`pull-${n}`)}
                      inputMode="decimal"
                      aria-label={t("band.pullOf", { number: n + 1, unit: ways().weight })}
                      value={one.pull}
                      onChange={(event) => row(n, { pull: event.target.value })}
                    />
                  </td>
                  <td className="text-right tabular-nums">
                    {newtons === null ? "" : sayNumber(Math.round(newtons))}
                  </td>
                </tr>
              );
            })}
          </tbody>
        </table>
        <div className="flex flex-col gap-2">
          {open >= 0 && (
            <ScaleReader
              address={devices}
              of={t("band.stretchAt", { cm: draft.rows[open]?.stretch ?? "" })}
              onRead={(newtons) => row(open, { pull: pullOf(newtons) })}
            />
          )}
          {isSound && (
            <BandCurve points={typed.band.points} label={t("band.curve", { name: typed.band.name })} />
          )}
          {wrong !== null && !isSound && (
            <p role="alert" className="text-error font-medium">
              {problem ? t("band.problem", { problem: problem.problem }) : t("band.missing")}
            </p>
          )}
        </div>
      </div>
      <div className="flex flex-wrap gap-2">
        <button type="button" className="btn btn-primary" onClick={done}>
          {t("band.done")}
        </button>
        <button type="button" className="btn" onClick={() => setDraft(usualStretches(draft))}>
          {t("band.usual")}
        </button>
        {draft.rows.length < mostRows && (
          <button type="button" className="btn" onClick={() => setDraft(withRow(draft))}>
            {t("band.more")}
          </button>
        )}
        <button type="button" className="btn btn-ghost" onClick={onCancel}>
          {t("band.cancel")}
        </button>
      </div>
    </section>
  );
}

/** The field that a problem of a band stands at. */
function fieldOf(path: string): string {
  const [, row, what] = /points\/(\d+)\/(stretchCm|forceN)$/.exec(path) ?? [];
  if (row === undefined) return "name";
  return `${what === "forceN" ? "pull" : "stretch"}-${row}`;
}
