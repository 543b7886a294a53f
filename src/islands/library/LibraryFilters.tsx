import { bodyPositions, laneCodes, regions } from "~/core/exercise/body";
import { knobByName } from "~/core/exercise/knob";
import FilterSelect from "~/islands/frame/FilterSelect";
import { sayKnobValue } from "~/messages/say-knob-value";
import { t } from "~/messages/say";
import { emptyQuery, filterCount, type LibraryQuery } from "./library-query";

export interface PathwayChoice {
  readonly code: string;
  readonly name: string;
  readonly stages: readonly { readonly code: string; readonly name: string }[];
}

interface Props {
  query: LibraryQuery;
  /** Stages to choose from; none for a patient, whose stage is known. */
  pathways: readonly PathwayChoice[];
  onChange: (change: Partial<LibraryQuery>) => void;
}

const contractions = knobByName("contraction").words ?? [];
/** Muscles of which the catalogue carries published activity. */
const studied = ["gluteus-medius", "gluteus-maximus"] as const;

/** Everything by which the library can be narrowed and ordered. */
export default function LibraryFilters({ query, pathways, onChange }: Props) {
  const stages = pathways.flatMap((pathway) =>
    pathway.stages.map(
      (stage) => [`${pathway.code}/${stage.code}`, `${pathway.name}: ${stage.name}`] as const,
    ),
  );
  return (
    <div className="grid grid-cols-2 gap-2 lg:grid-cols-1" data-testid="filters">
      <FilterSelect
        name={t("plan.lane")}
        value={query.lane}
        onValue={(lane) => onChange({ lane })}
        options={[["", t("plan.anyLane")], ...laneCodes.map((code) => [code, t(`lane.${code}`)] as const)]}
      />
      <FilterSelect
        name={t("library.region")}
        value={query.region}
        onValue={(region) => onChange({ region })}
        options={[
          ["", t("library.anyRegion")],
          ...regions.map((code) => [code, t(`region.${code}`)] as const),
        ]}
      />
      <FilterSelect
        name={t("plan.kit")}
        value={query.kit}
        onValue={(kit) => onChange({ kit })}
        options={(["any", "home", "none"] as const).map((code) => [code, t(`plan.kit.${code}`)] as const)}
      />
      <FilterSelect
        name={t("plan.position")}
        value={query.positions}
        onValue={(positions) => onChange({ positions })}
        options={[
          ["", t("plan.anyPosition")],
          ...bodyPositions.map((code) => [code, t(`position.${code}`)] as const),
        ]}
      />
      <FilterSelect
        name={t("plan.contraction")}
        value={query.contraction}
        onValue={(contraction) => onChange({ contraction })}
        options={[
          ["", t("plan.anyContraction")],
          ...contractions.map((code) => [code, sayKnobValue("contraction", code)] as const),
        ]}
      />
      {stages.length > 0 && (
        <FilterSelect
          name={t("library.stage")}
          value={query.stage}
          onValue={(stage) => onChange({ stage })}
          options={[["", t("library.anyStage")], ...stages]}
        />
      )}
      <FilterSelect
        name={t("library.order")}
        value={query.activity}
        onValue={(activity) => onChange({ activity })}
        options={[
          ["", t("library.order.catalogue")],
          ...studied.map(
            (code) => [code, t("library.order.activity", { muscle: t(`muscle.${code}`) })] as const,
          ),
        ]}
      />
      <label className="flex min-h-11 cursor-pointer items-center gap-2 text-sm">
        <input
          type="checkbox"
          className="checkbox"
          checked={query.lowKneeBend}
          onChange={(event) => onChange({ lowKneeBend: event.target.checked })}
        />
        {t("plan.lowBend")}
      </label>
      {filterCount(query) > 0 && (
        <button
          type="button"
          className="btn"
          onClick={() => onChange({ ...emptyQuery, text: query.text, activity: query.activity })}
        >
          {t("library.clear")}
        </button>
      )}
    </div>
  );
}
