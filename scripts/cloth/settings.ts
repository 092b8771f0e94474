import { type Setting, slower } from '../../src/core/cloth/simulate.ts';

/** What a knot is tied under beside the setting that is shipped, to see how much of what comes out is the grid's and the steps'. */
export const finerSettings = {
  'half the rows’ distance': ({ grid, ...usual }: Setting): Setting => ({ ...usual, grid: { ...grid, rowMm: grid.rowMm / 2 } }),
  'twice the steps': (usual: Setting): Setting => slower(usual, 2),
} as const;
