import equal from 'fast-deep-equal';
import { memo, type ReactNode } from 'react';
import { frontDropOf } from '../../core/body/frontDrop.ts';
import { laidOver } from '../../core/colour/rgb.ts';
import type { PlanRequest } from '../../core/index.ts';
import type { CollarDrawing } from '../collar/leaves.ts';
import { curve } from '../geometry/path.ts';
import { type View, wearersLeft } from '../geometry/view.ts';
import { type JacketDrawing, jacketFronts } from '../jacket/fronts.ts';
import { type Build, buildOf, neckOf, sleeveOf, torsoOf } from './build.ts';

export interface DressedProps {
  /** Makes the drawing's own ids; one a drawing on a page. */
  readonly id: string;
  readonly request: Pick<PlanRequest, 'client' | 'shirt' | 'jacket'>;
  readonly collar: CollarDrawing;
  readonly view: View;
  readonly shirtColour: string;
  readonly jacketColour: string | null;
  /** A usual one where it is not said. */
  readonly trousersColour?: string | null | undefined;
  /** Lower edge of the picture, mm below the collar button. */
  readonly bottomMm: number;
  /** What lies around the stand, behind the neck's foot. */
  readonly band?: ReactNode;
  /** What is worn between shirt and collar. */
  readonly children?: ReactNode;
  /** What shines through a waistcoat. */
  readonly throughWaistcoat?: ReactNode;
}

const outline = { stroke: 'var(--color-ink)', strokeOpacity: 0.55, strokeWidth: 0.8 } as const;
const seam = { fill: 'none', stroke: '#000', strokeOpacity: 0.4, strokeWidth: 0.8 } as const;
const shirtEaseMm = 6;

/**
 * The front of a client in shirt, trousers and jacket, in true proportion. The neck stands in the collar; leaves lie over
 * the tie, fronts over the leaves. Seen in the wearer's mirror all of it is turned, so that the front on top stays on the
 * wearer's side that it buttons on.
 */
export function Dressed({
  id,
  request,
  collar,
  view,
  shirtColour,
  jacketColour,
  trousersColour,
  bottomMm,
  band,
  children,
  throughWaistcoat,
}: DressedProps) {
  const { client, shirt, jacket } = request;
  const beltY = frontDropOf(client).meanMm;
  const build = buildOf(client, beltY);
  const left = wearersLeft(view);
  // A man's coat buttons left over right, a woman's right over left.
  const over = client.front === 'womens' ? (-left as 1 | -1) : left;
  const fronts = jacket ? jacketFronts(jacket, { neckMm: client.neckMm, beltY, build, over, wearersLeft: left }) : undefined;
  const outer = (jacket && jacketColour) || shirtColour;
  // Under a jacket the shirt lies close.
  const torso = torsoOf(build, jacket ? -shirtEaseMm : shirtEaseMm, beltY + 12);

  return (
    <g clipPath={`url(#${id}-body)`}>
      <Shades id={id} halfMm={build.halfMm} bottomMm={bottomMm} outer={outer} />

      {beltY < bottomMm && (
        <Trousers
          build={build}
          beltY={beltY}
          beltHeightMm={client.beltHeightMm}
          bottomMm={bottomMm}
          colour={trousersColour ?? 'var(--color-trousers)'}
        />
      )}
      {!jacket && ([1, -1] as const).map((side) => <Outermost key={side} id={id} side={side} d={sleeveOf(build, side, shirtEaseMm)} />)}
      <path d={torso.area} fill={shirtColour} />
      <path d={torso.edges} fill="none" {...outline} />
      <Placket buttonsMm={shirt.buttonsMm} bottomMm={Math.min(beltY, bottomMm)} over={over} />
      {band}
      <path d={collar.inside} fill={shirtColour} {...outline} />
      <path d={collar.inside} fill="#16202a" fillOpacity="0.28" />
      <path d={neckOf(build)} fill="var(--color-form)" />
      <path d={neckOf(build)} fill={`url(#${id}-neck)`} />
      <path d={neckOf(build)} fill={`url(#${id}-under)`} {...outline} strokeOpacity={0.3} />

      {children}

      <Leaves id={id} leaves={collar.leaves} stitching={collar.stitching} colour={shirtColour} />

      {fronts?.waistcoat && jacketColour && (
        <g fill={jacketColour} {...outline}>
          <path d={fronts.waistcoat.outline} />
          <path d={fronts.waistcoat.outline} fill="#0b1016" fillOpacity="0.14" stroke="none" />
          {fronts.waistcoat.buttons.map(([x, y], i) => (
            <circle key={i} cx={x} cy={y} r={4} fill="#0006" stroke="none" />
          ))}
          {throughWaistcoat}
        </g>
      )}
      {fronts && jacketColour && <Jacket id={id} fronts={fronts} colour={jacketColour} />}
    </g>
  );
}

interface ShadesProps {
  readonly id: string;
  readonly halfMm: number;
  readonly bottomMm: number;
  /** Colour of what is worn outermost. */
  readonly outer: string;
}

/** Where the picture is cut, and the light on leaves, neck and what is worn outermost. */
const Shades = memo(function Shades({ id, halfMm, bottomMm, outer }: ShadesProps) {
  return (
    <defs>
      <clipPath id={`${id}-body`}>
        <rect x={-halfMm} y={-160} width={2 * halfMm} height={bottomMm + 160} />
      </clipPath>
      <linearGradient id={`${id}-leaf`} x1="0" x2="0" y1="0" y2="1">
        <stop offset="0" stopColor="#16202a" stopOpacity="0.12" />
        <stop offset="0.3" stopColor="#fff" stopOpacity="0.5" />
        <stop offset="1" stopColor="#16202a" stopOpacity="0.04" />
      </linearGradient>
      <linearGradient id={`${id}-neck`}>
        <stop offset="0" stopColor="#16202a" stopOpacity="0.24" />
        <stop offset="0.38" stopColor="#fff" stopOpacity="0.16" />
        <stop offset="1" stopColor="#16202a" stopOpacity="0.3" />
      </linearGradient>
      <linearGradient id={`${id}-under`} x1="0" x2="0" y1="0" y2="1">
        <stop offset="0.55" stopColor="#16202a" stopOpacity="0" />
        <stop offset="1" stopColor="#16202a" stopOpacity="0.34" />
      </linearGradient>
      {([1, -1] as const).map((side) => (
        <linearGradient key={side} id={shadeOf(id, side)} x1={side === 1 ? 0 : 1} x2={side === 1 ? 1 : 0}>
          <stop offset="0.45" stopColor={outer} />
          <stop offset="1" stopColor={laidOver(outer, '#0b1016', 0.26)} />
        </linearGradient>
      ))}
    </defs>
  );
});

interface LeavesProps extends Pick<CollarDrawing, 'leaves' | 'stitching'> {
  readonly id: string;
  readonly colour: string;
}

/** The leaves of the collar, lying over what is worn in it. */
const Leaves = memo(function Leaves({ id, leaves, stitching, colour }: LeavesProps) {
  return leaves.map((leaf, i) => (
    <g key={i}>
      <path d={leaf} fill={colour} {...outline} strokeLinejoin="round" />
      <path d={leaf} fill={`url(#${id}-leaf)`} />
      <path d={stitching[i]} fill="none" stroke="var(--color-ink)" strokeOpacity="0.25" strokeWidth="0.6" strokeDasharray="3 1.4" />
    </g>
  ));
}, equal);

function shadeOf(id: string, side: 1 | -1): string {
  return `${id}-side${side === 1 ? 'r' : 'l'}`;
}

/** A piece of what is worn outermost, turning away from the light toward its side. */
function Outermost({ id, side, d }: { readonly id: string; readonly side: 1 | -1; readonly d: string }) {
  return <path d={d} fill={`url(#${shadeOf(id, side)})`} {...outline} strokeLinejoin="round" />;
}

interface JacketProps {
  readonly id: string;
  readonly fronts: JacketDrawing;
  readonly colour: string;
}

const Jacket = memo(function Jacket({ id, fronts, colour }: JacketProps) {
  return (
    <g>
      {fronts.fronts.map(({ side, sleeve }) => (
        <Outermost key={side} id={id} side={side} d={sleeve} />
      ))}
      {fronts.fronts.map(({ side, front, lines, lapel, collar }) => (
        <g key={side}>
          <Outermost id={id} side={side} d={front} />
          <path d={lines.join('')} {...seam} />
          {collar && <Turned d={collar} colour={colour} />}
          {lapel && <Turned d={lapel} colour={colour} />}
        </g>
      ))}
      {fronts.buttons.map(([x, y], i) => (
        <circle key={i} cx={x} cy={y} r={7} fill="#0009" stroke="#fff" strokeOpacity="0.35" />
      ))}
    </g>
  );
}, equal);

/** Cloth of the jacket turned to the outside: the collar, a lapel. */
function Turned({ d, colour }: { readonly d: string; readonly colour: string }) {
  return <path d={d} fill={laidOver(colour, '#ffffff', 0.1)} {...outline} strokeOpacity={0.75} strokeLinejoin="round" />;
}

interface PlacketProps {
  readonly buttonsMm: readonly number[];
  readonly bottomMm: number;
  /** On which side of the picture the front lies that is buttoned over the other. */
  readonly over: 1 | -1;
}

/** The front that is buttoned over, edged past the middle toward the other. */
const Placket = memo(function Placket({ buttonsMm, bottomMm, over }: PlacketProps) {
  return (
    <g>
      <path d={curve`M${-over * 16} 10 V${bottomMm}`} stroke="var(--color-ink)" strokeOpacity="0.34" strokeWidth="0.9" />
      <path d={curve`M${over * 16} 14 V${bottomMm}`} stroke="var(--color-ink)" strokeOpacity="0.22" strokeWidth="0.8" />
      <Buttons atMm={buttonsMm.filter((y) => y < bottomMm)} />
    </g>
  );
}, equal);

const Buttons = memo(function Buttons({ atMm }: { readonly atMm: readonly number[] }) {
  return atMm.map((y) => (
    <g key={y}>
      <circle cx={0} cy={y} r={5} fill="#fff" stroke="var(--color-ink)" strokeOpacity="0.6" strokeWidth="0.8" />
      <path
        d={curve`M-1.4 ${y - 1.4} h0.1 M1.4 ${y - 1.4} h0.1 M-1.4 ${y + 1.4} h0.1 M1.4 ${y + 1.4} h0.1`}
        stroke="var(--color-ink)"
        strokeWidth="1.2"
        strokeLinecap="round"
      />
    </g>
  ));
}, equal);

interface TrousersProps {
  readonly build: Build;
  readonly beltY: number;
  readonly beltHeightMm: number;
  readonly bottomMm: number;
  readonly colour: string;
}

/** Told from the belt's upper edge down, so that all of it moves with the belt. */
function Trousers({ build: { waist, hip }, beltY, beltHeightMm, bottomMm, colour }: TrousersProps) {
  return (
    <g transform={`translate(0 ${beltY})`}>
      <Legs topMm={waist[0] + 8} hipMm={hip[0] + 8} hipY={hip[1] - beltY} lowMm={bottomMm} beltHeightMm={beltHeightMm} colour={colour} />
      <Belt halfMm={waist[0] + 8} heightMm={beltHeightMm} loops={colour} />
    </g>
  );
}

interface LegsProps {
  /** Half as wide as the trousers are at the belt and at the hip. */
  readonly topMm: number;
  readonly hipMm: number;
  readonly hipY: number;
  /** No picture reaches so far down. */
  readonly lowMm: number;
  readonly beltHeightMm: number;
  readonly colour: string;
}

const Legs = memo(function Legs({ topMm: top, hipMm: hip, hipY, lowMm: low, beltHeightMm, colour }: LegsProps) {
  const fork = hipY + 20;
  return (
    <>
      <path
        d={curve`M${-top} 0 H${top} C${top + 4} 50 ${hip} ${hipY - 40} ${hip} ${low} H10 L2 ${fork} H-2 L-10 ${low} H${-hip} C${-hip} ${hipY - 40} ${-top - 4} 50 ${-top} 0 Z`}
        fill={colour}
      />
      <path
        d={curve`M3 ${beltHeightMm} V${fork} M${-top * 0.55} ${beltHeightMm} V${low} M${top * 0.55} ${beltHeightMm} V${low}`}
        stroke="#fff"
        strokeOpacity="0.16"
        strokeWidth="1"
      />
    </>
  );
});

interface BeltProps {
  /** Of the waist. */
  readonly halfMm: number;
  readonly heightMm: number;
  /** Colour of what holds it. */
  readonly loops: string;
}

/** The belt with its buckle, its upper edge at 0. */
const Belt = memo(function Belt({ halfMm, heightMm, loops }: BeltProps) {
  return (
    <>
      <rect x={-halfMm - 1} width={2 * halfMm + 2} height={heightMm} fill="var(--color-belt)" />
      {([1, -1] as const).map((side) => (
        <rect key={side} x={side * halfMm * 0.52 - 5} y={-3} width={10} height={heightMm + 6} fill={loops} />
      ))}
      <rect x={-24} y={-3} width={48} height={heightMm + 6} rx={3} fill="none" stroke="var(--color-buckle)" strokeWidth={4} />
      <path d={curve`M0 ${heightMm / 2} h24`} stroke="var(--color-buckle)" strokeWidth={3} />
    </>
  );
});
