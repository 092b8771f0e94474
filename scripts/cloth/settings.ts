import { type Setting, usualSetting } from '../../src/core/cloth/simulate.ts';
import type { Knot } from '../../src/core/index.ts';

/** What a knot is tied under beside the setting that is shipped, to see how much of what comes out is the grid's and the steps'. */
export const finerSettings = {
  'half the rows’ distance': (knot: Knot): Setting => {
    const { grid, ...usual } = usualSetting(knot);
    return { ...usual, grid: { ...grid, rowMm: grid.rowMm / 2 } };
  },
  'twice the steps': (knot: Knot): Setting => ({ ...usualSetting(knot), steps: 2 * usualSetting(knot).steps }),
} as const;
