import { useState } from "react";
import { v7 as uuid } from "uuid";
import type { ClinicShelf, ShelfView } from "~/contract/shelf";
import type { Band } from "~/core/band/band";
import { island } from "~/islands/frame/island";
import ProblemNote from "~/islands/frame/ProblemNote";
import { useWrite } from "~/islands/frame/use-write";
import { draftOfBand, newBand, type BandDraft } from "~/islands/shelf/band-draft";
import BandCurve from "~/islands/shelf/BandCurve";
import BandForm from "~/islands/shelf/BandForm";
import LoadsFields, { asTyped, loadable, shelfTyped } from "~/islands/shelf/LoadsFields";
import { sayLength, sayNumber, t } from "~/messages/say";

const allKit = loadable.map(({ code }) => code);
const mostBands = 40;

/** What stands in the clinic to load with: its weights, which decide the steps of a load, and its bands as it measured them. */
function KitPage({ view: first, devices }: { view: ShelfView; devices: string }) {
  const [view, setView] = useState(first);
  const [typed, setTyped] = useState(asTyped(first.shelf.loadsKg));
  const [draft, setDraft] = useState<BandDraft | null>(null);
  const [notice, setNotice] = useState("");
  const { bands } = view.shelf;
  const take = (next: ShelfView) => {
    setView(next);
    setTyped(asTyped(next.shelf.loadsKg));
  };
  const { send, busy, problem } = useWrite("setShelf", {}, take);
  const save = async (shelf: ClinicShelf) => {
    setNotice("");
    const written = await send({ shelf, after: view.settingId }, JSON.stringify(shelf));
    if (!written) return;
    take(written.view);
    setDraft(null);
    setNotice(t("shelf.saved"));
  };
  const loadsKg = shelfTyped(typed);
  const isChanged = JSON.stringify(loadsKg) !== JSON.stringify(shelfTyped(asTyped(view.shelf.loadsKg)));
  const saveBand = (band: Band) =>
    void save({
      ...view.shelf,
      bands: bands.some(({ id }) => id === band.id)
        ? bands.map((one) => (one.id === band.id ? band : one))
        : [...bands, band],
    });
  return (
    <div className="mx-auto flex max-w-5xl flex-col gap-4 px-4 py-4">
      <h1 className="text-2xl font-bold">{t("clinic.kit")}</h1>
      <ProblemNote problem={problem} />
      <p role="status" className="text-success font-medium empty:hidden">
        {notice}
      </p>
      <section className="bg-base-100 border-base-300 rounded-box flex flex-col gap-3 border p-3">
        <h2 className="text-lg font-semibold">{t("shelf.weights")}</h2>
        <p className="text-base-content/80 text-sm">{t("shelf.weightsHelp")}</p>
        <LoadsFields typed={typed} onTyped={setTyped} kit={allKit} readOnly={!view.maySet} />
        {view.maySet && (
          <button
            type="button"
            className="btn btn-primary self-start"
            disabled={busy || loadsKg === null || !isChanged}
            onClick={() => loadsKg && void save({ ...view.shelf, loadsKg })}
          >
            {t("shelf.save")}
          </button>
        )}
      </section>
      <section className="flex flex-col gap-3">
        <div className="flex flex-wrap items-center gap-3">
          <h2 className="text-lg font-semibold">{t("band.title")}</h2>
          {view.maySet && !draft && bands.length < mostBands && (
            <button type="button" className="btn ml-auto" onClick={() => setDraft(newBand(uuid()))}>
              {t("band.add")}
            </button>
          )}
        </div>
        <p className="text-base-content/80 text-sm">{t("band.help")}</p>
        {draft && (
          <BandForm
            key={draft.id}
            first={draft}
            devices={devices}
            others={bands.filter(({ id }) => id !== draft.id)}
            onDone={saveBand}
            onCancel={() => setDraft(null)}
          />
        )}
        {bands.length === 0 && !draft && <p>{t("band.none")}</p>}
        <ul className="grid gap-3 sm:grid-cols-2 lg:grid-cols-3" aria-label={t("band.title")}>
          {bands.map((band) => (
            <li
              key={band.id}
              className="bg-base-100 border-base-300 rounded-box flex flex-col gap-1 border p-3"
            >
              <h3 className="font-semibold">{band.name}</h3>
              <p className="text-sm">
                {t(`band.${band.form}`)} · {t(`band.${band.where}`)} ·{" "}
                {t("band.restOf", { length: sayLength(band.restCm) })}
              </p>
              <BandCurve points={band.points} label={t("band.curve", { name: band.name })} />
              <p className="text-sm">
                {t("band.reach", {
                  force: sayNumber(Math.round(band.points.at(-1)?.forceN ?? 0)),
                  percent: Math.round((100 * (band.points.at(-1)?.stretchCm ?? 0)) / band.restCm),
                })}
              </p>
              {view.maySet && (
                <div className="flex flex-wrap gap-2">
                  <button type="button" className="btn" onClick={() => setDraft(draftOfBand(band))}>
                    {t("band.again")}
                  </button>
                  <button
                    type="button"
                    className="btn btn-ghost"
                    disabled={busy}
                    onClick={() =>
                      void save({ ...view.shelf, bands: bands.filter(({ id }) => id !== band.id) })
                    }
                  >
                    {t("band.remove")}
                  </button>
                </div>
              )}
            </li>
          ))}
        </ul>
      </section>
    </div>
  );
}

export default island(KitPage);
