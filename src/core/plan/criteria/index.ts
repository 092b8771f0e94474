import { bandCriterion } from './band.ts';
import { bulkCriterion } from './bulk.ts';
import { collarFillCriterion } from './collarFill.ts';
import type { Criterion } from './criterion.ts';
import { dimpleCriterion } from './dimple.ts';
import { dressCriterion } from './dress.ts';
import { easeCriterion } from './ease.ts';
import { gripCriterion } from './grip.ts';
import { landingCriterion } from './landing.ts';
import { lapelCriterion } from './lapel.ts';
import { motifCriterion } from './motif.ts';
import { openingCriterion } from './opening.ts';
import { panelCriterion } from './panel.ts';
import { prescribedCriterion } from './prescribed.ts';
import { releaseCriterion } from './release.ts';
import { symmetryCriterion } from './symmetry.ts';
import { tailCriterion } from './tail.ts';

/** What a stylist weighs, in the order it is told. */
export const criteria: readonly Criterion[] = [
  collarFillCriterion,
  bandCriterion,
  tailCriterion,
  landingCriterion,
  symmetryCriterion,
  easeCriterion,
  bulkCriterion,
  releaseCriterion,
  lapelCriterion,
  openingCriterion,
  motifCriterion,
  prescribedCriterion,
  dressCriterion,
  dimpleCriterion,
  gripCriterion,
  panelCriterion,
];
