// Integer programs in the solver: plain data in, plain data out. Knows nothing of what they mean.
/**
 * Puts a program into the solver, to be asked again and again with other costs and more rows.
 *
 * @param {import("highs").Highs} highs
 * @param {import("../../src/core/week/mip").Mip} program
 * @returns {import("../../src/core/week/mip").MipSession}
 */
export function openSession(highs, { columns, rows }) {
  const bound = (value) => (Number.isFinite(value) ? value : Math.sign(value) * highs.infinity);
  const { continuous, integer } = highs.constants.variableType;
  const entries = rows.flatMap((row) => row.entries);
  const starts = rows.reduce((all, row) => [...all, all.at(-1) + row.entries.length], [0]);
  const model = highs.createModel();
  model.options.set({
    output_flag: false,
    // Costs are whole numbers: what lies less than one below the best that was found is the best.
    mip_rel_gap: 0,
    mip_abs_gap: 0.9,
    random_seed: 1,
  });
  model.passModel({
    numCols: columns.length,
    numRows: rows.length,
    colCost: columns.map(({ cost }) => cost),
    colLower: columns.map(({ lower }) => lower),
    colUpper: columns.map(({ upper }) => upper),
    rowLower: rows.map(({ lower }) => bound(lower)),
    rowUpper: rows.map(({ upper }) => bound(upper)),
    matrix: {
      format: "csr",
      numRows: rows.length,
      numCols: columns.length,
      starts,
      indices: entries.map(([column]) => column),
      values: entries.map(([, factor]) => factor),
    },
    integrality: columns.map(({ whole }) => (whole ? integer : continuous)),
  });
  return {
    minimise: async (costs, seconds, from) => {
      model.changeColsCost({ kind: "range", from: 0, to: columns.length - 1 }, costs);
      model.options.set("time_limit", Math.max(0.01, seconds));
      model.zeroAllClocks();
      if (from) model.setSolution({ colValue: from });
      model.run();
      const found = model.info.get("primal_solution_status") === 2;
      const proven = model.getModelStatus() === highs.constants.modelStatus.optimal;
      return {
        values: found ? [...model.getSolution().colValue] : null,
        proven: found && proven,
        bound: found ? Number(model.info.get("mip_dual_bound")) : null,
      };
    },
    addRow: async ({ lower, upper, entries: own }) => {
      model.addRow(bound(lower), bound(upper), {
        indices: own.map(([column]) => column),
        values: own.map(([, factor]) => factor),
      });
    },
    close: async () => model.dispose(),
  };
}
