import type { ReactNode } from 'react';
import { frontDropOf } from '../../core/body/frontDrop.ts';
import { neckHalfWidth } from '../../core/body/neck.ts';
import { collarStyles } from '../../core/collar/styles.ts';
import { supposeTie } from '../../core/index.ts';
import { widthAt } from '../../core/tie/width.ts';
import { usualBeltMm, usualTie, usualWearer } from '../../core/usual.ts';
import { collarLeaves } from '../collar/leaves.ts';
import { type Pt, polygon } from '../geometry/path.ts';
import { jacketFronts, lapelMeasure } from '../jacket/fronts.ts';
import { halfWidths } from '../tie/outline.ts';
import { buildOf } from '../wearer/build.ts';

/** What is measured on, and the name of the measure there. */
export interface HowToProps {
  readonly of: 'client' | 'shirt' | 'jacket' | 'tie';
  readonly measure: string;
}

interface Sketch {
  readonly box: readonly [x: number, y: number, width: number, height: number];
  readonly thing: ReactNode;
  readonly lines: Readonly<Record<string, readonly [from: Pt, to: Pt]>>;
}

/** Where the tape lies for one measure, small enough to stand beside its field. Decorative: the field's hint says it in words. */
export function HowTo({ of, measure }: HowToProps) {
  const { box, thing, lines } = sketches[of];
  const line = lines[measure];
  if (!line) return null;
  const [[x0, y0], [x1, y1]] = line;
  const unit = box[3] / 34;
  const length = Math.hypot(x1 - x0, y1 - y0) || 1;
  const tick: Pt = [(-(y1 - y0) / length) * 3.5 * unit, ((x1 - x0) / length) * 3.5 * unit];
  return (
    <svg viewBox={box.join(' ')} className="h-9 w-12 shrink-0" aria-hidden="true">
      <g fill="var(--color-white)" stroke="var(--color-soft)" strokeWidth={unit} strokeLinejoin="round">
        {thing}
      </g>
      <g stroke="var(--color-set)" strokeWidth={2 * unit} strokeLinecap="round">
        <line x1={x0} y1={y0} x2={x1} y2={y1} />
        <line x1={x0 - tick[0]} y1={y0 - tick[1]} x2={x0 + tick[0]} y2={y0 + tick[1]} />
        <line x1={x1 - tick[0]} y1={y1 - tick[1]} x2={x1 + tick[0]} y2={y1 + tick[1]} />
      </g>
    </svg>
  );
}

const { heightMm, neckMm } = usualWearer;
const beltMm = frontDropOf({ heightMm, frontDropMm: null }).meanMm;
const collar = collarStyles['semi-spread'];

function shirtSketch(): Sketch {
  const { leaves, inside, tips, foldY, neckHalfMm } = collarLeaves(collar, neckMm);
  const button = collar.tieSpaceMm / 2;
  return {
    box: [-104, -70, 208, 152],
    thing: (
      <>
        <path d={inside} />
        {leaves.map((leaf) => (
          <path key={leaf} d={leaf} />
        ))}
      </>
    ),
    lines: {
      collarSpreadMm: tips,
      collarPointMm: [[button, 0], tips[1]],
      tieSpaceMm: [
        [-button * 2, 0],
        [button * 2, 0],
      ],
      standMm: [
        [0, 0],
        [0, -collar.standMm],
      ],
      collarAllowanceMm: [
        [-neckHalfMm, foldY],
        [neckHalfMm, foldY],
      ],
    },
  };
}

function jacketSketch(): Sketch {
  const jacket = { lapelMm: 88, lapelKind: 'notch', cut: 'single', waistcoat: false, worn: 'closed', buttoningMm: 330 } as const;
  const build = buildOf({ heightMm, neckMm, front: 'mens' }, beltMm);
  const { fronts } = jacketFronts(jacket, { neckMm, beltY: beltMm, build, over: 1, wearersLeft: 1 });
  return {
    box: [-250, -70, 500, 530],
    thing: fronts.flatMap(({ front, collar, lapel }) => [front, collar, lapel].map((path) => path && <path key={path} d={path} />)),
    lines: {
      lapelMm: lapelMeasure(jacket, neckMm, beltMm),
      buttoningMm: [
        [0, 0],
        [0, 330],
      ],
    },
  };
}

/** A tie's length is drawn this much shorter than its width, to fit beside a field. */
const shortened = 0.16;

function tieSketch(): Sketch {
  const tie = supposeTie({ ...usualTie, bladeMm: 90 });
  const x = (atMm: number) => atMm * shortened;
  const stations = halfWidths(tie, 0, tie.lengthMm);
  const upper = stations.map(({ atMm, halfMm }): Pt => [x(atMm), -halfMm]);
  const lower = stations.map(({ atMm, halfMm }): Pt => [x(atMm), halfMm]).reverse();
  const across = (atMm: number): readonly [Pt, Pt] => [
    [x(atMm), -widthAt(tie, atMm) / 2],
    [x(atMm), widthAt(tie, atMm) / 2],
  ];
  const along = (toMm: number, y: number): readonly [Pt, Pt] => [
    [0, y],
    [x(toMm), y],
  ];
  const below = 62;
  return {
    box: [-12, -70, 260, 150],
    thing: <path d={polygon([...upper, ...lower])} />,
    lines: {
      lengthMm: along(tie.lengthMm, below),
      bladeMm: across(70),
      neckMm: across(tie.neckAtMm),
      tailMm: across(tie.lengthMm - 60),
      neckAtMm: along(tie.neckAtMm, below),
      keeperMm: along(tie.keeperMm, below),
      thicknessMm: [
        [x(300), -7],
        [x(300), 7],
      ],
    },
  };
}

/** Collar button below the crown, as a share of height. */
const buttonShare = 0.165;

function bodySketch(): Sketch {
  const top = -buttonShare * heightMm;
  const feet = heightMm + top;
  const neck = neckHalfWidth(neckMm);
  const shoulders: Pt[] = [
    [-neck, -30],
    [-220, 40],
    [-190, beltMm],
    [190, beltMm],
    [220, 40],
    [neck, -30],
  ];
  return {
    box: [-520, top - 40, 1040, heightMm + 80],
    thing: (
      <>
        <ellipse cx={0} cy={top + 120} rx={88} ry={120} />
        <path d={polygon(shoulders)} />
        <path
          d={polygon([
            [-190, beltMm],
            [-150, feet],
            [150, feet],
            [190, beltMm],
          ])}
        />
      </>
    ),
    lines: {
      heightMm: [
        [320, top],
        [320, feet],
      ],
      neckMm: [
        [-neck - 10, -40],
        [neck + 10, -40],
      ],
      frontDropMm: [
        [0, 0],
        [0, beltMm],
      ],
      beltHeightMm: [
        [0, beltMm],
        [0, beltMm + 2 * usualBeltMm],
      ],
      crossingGapMm: [
        [0, 0],
        [0, 110],
      ],
    },
  };
}

const sketches: Readonly<Record<HowToProps['of'], Sketch>> = {
  client: bodySketch(),
  shirt: shirtSketch(),
  jacket: jacketSketch(),
  tie: tieSketch(),
};
