import { referenceTying } from '../../src/core/cloth/reference.ts';
import { type Setting, usualSetting } from '../../src/core/cloth/simulate.ts';
import { tieInCloth } from '../../src/core/cloth/tieInCloth.ts';
import { parseKnot } from '../../src/core/index.ts';
import { type ClothMeasures, measureCloth } from '../../src/core/seen/measure.ts';
import { finerSettings } from './settings.ts';

/** The twelve that are named and do not pass under another's name. */
export const studied: readonly string[] = [
  'Lo Ri Co T',
  'Li Ro Li Co T',
  'Lo Ci Ro Li Co T',
  'Lo Ci Lo Ri Co T',
  'Li Ro Li Ro Li Co T',
  'Li Ro Ci Lo Ri Co T',
  'Li Ro Ci Ro Li Co T',
  'Lo Ri Lo Ci Ro Li Co T',
  'Lo Ci Ro Ci Lo Ri Co T',
  'Li Ro Li Co Ri Lo Ri Co T',
  'Li Co Ri Lo Ci Ro Li Co T',
  'Li Co Ri Lo Ri Co T',
];
const starts = [0, 1, 2] as const;

const settings = { shipped: (usual: Setting): Setting => usual, ...finerSettings } as const;

export interface Studied {
  readonly word: string;
  readonly setting: string;
  readonly measures: ClothMeasures;
  /** How many of the starts came out clean. */
  readonly clean: number;
}

/** Ties every `of`th of the studied words from the `part`th on under each setting, from a few starts that differ by a hair; means of their measures. */
export function studyPart(part: number, of: number, told: (studied: Studied) => void): void {
  studied.forEach((word, i) => {
    if (i % of !== part) return;
    const knot = parseKnot(word);
    for (const [setting, make] of Object.entries(settings)) {
      const all = starts.flatMap((seed) => {
        const request = { ...referenceTying(knot), seed: 10 * seed };
        const tied = tieInCloth(request, make(usualSetting(request)));
        return tied.kind === 'tied' ? [measureCloth(tied.mesh)] : [];
      });
      const mean = (key: keyof ClothMeasures) => all.reduce((sum, each) => sum + each[key], 0) / all.length;
      const keys = Object.keys(all[0] ?? {}) as (keyof ClothMeasures)[];
      const measures = Object.fromEntries(keys.map((key) => [key, mean(key)])) as unknown as ClothMeasures;
      told({ word, setting, measures, clean: all.length });
    }
  });
}

/** How far each setting moves what is measured, word by word and at the worst. */
export function tellStudy(all: readonly Studied[]): void {
  const shares = ['takeUpMm', 'topMm', 'bottomMm', 'heightMm', 'depthMm'] as const;
  for (const setting of Object.keys(settings).slice(1)) {
    console.log(`\n${setting}, against the shipped one`);
    const moved: Record<string, number[]> = {};
    for (const word of studied) {
      const [before, after] = ['shipped', setting].map((name) => all.find((each) => each.word === word && each.setting === name));
      if (!before || !after) continue;
      const cells = shares.map((key) => {
        const share = after.measures[key] / before.measures[key] - 1;
        moved[key] = [...(moved[key] ?? []), share];
        return `${key} ${before.measures[key].toFixed(0)} ${(100 * share).toFixed(1)} %`;
      });
      const tilt = after.measures.tiltDeg - before.measures.tiltDeg;
      moved.tilt = [...(moved.tilt ?? []), tilt / 100];
      console.log(
        word.padEnd(28),
        cells.join('  '),
        ` tilt ${before.measures.tiltDeg.toFixed(0)}° ${tilt.toFixed(1)}°`,
        `${after.clean} clean`,
      );
    }
    for (const [key, values] of Object.entries(moved)) {
      const mean = values.reduce((sum, value) => sum + Math.abs(value), 0) / values.length;
      const worst = Math.max(...values.map(Math.abs));
      console.log(
        `${key}: moved by ${(100 * mean).toFixed(1)} on average, ${(100 * worst).toFixed(1)} at most (${key === 'tilt' ? 'degrees' : 'per cent'})`,
      );
    }
  }
}
