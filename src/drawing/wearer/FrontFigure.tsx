import type { ReactNode } from 'react';
import { frontDropOf } from '../../core/body/frontDrop.ts';
import { landmarksOf } from '../../core/body/landmarks.ts';
import { dressing } from '../../core/plan/habits.ts';
import { formatFigure, formatLength, roughly } from '../../core/units/length.ts';
import { collarLeaves } from '../collar/leaves.ts';
import { viewLabels } from '../geometry/view.ts';
import { Dimension } from '../sheet/Dimension.tsx';
import { inkColour } from '../sheet/ink.ts';
import { Note } from '../sheet/Note.tsx';
import { Sheet, useMmPerPx } from '../sheet/Sheet.tsx';
import { buildOfClient } from './build.ts';
import { bladeHangsX } from './HungTie.tsx';
import { Wearer, type WearerProps } from './Wearer.tsx';

type FrontFigureProps = Omit<WearerProps, 'bottomMm' | 'collar'> & { readonly className?: string; readonly children?: ReactNode };

const topMm = -96;
const belowBeltMm = 130;
/** The foot of the picture moves by whole steps, so that the figure doesn't grow or shrink under a hand that drags. */
const footStepMm = 60;
/** The body stands between its landmarks on the left and its measures on the right. */
const besideMm = { left: 150, right: 90 } as const;

/** The whole front, chin to below the belt, with the tape, the landmarks, and where the tip falls. */
export function FrontFigure({ className, children, ...wearer }: FrontFigureProps) {
  const { request, plan, stage, state = 'snug' } = wearer;
  const drop = frontDropOf(request.client).meanMm;
  const lowest = stage === 'hung' ? Math.max(plan.start.readings[state].bladeDropMm, plan.start.readings[state].tailDropMm) + 40 : 0;
  const bottomMm = Math.ceil(Math.max(drop + belowBeltMm, lowest) / footStepMm) * footStepMm;
  const { halfMm } = buildOfClient(request.client);
  const collar = collarLeaves(request.shirt, request.client.neckMm);
  return (
    <Sheet
      box={{ x: -halfMm - besideMm.left, y: topMm, width: 2 * halfMm + besideMm.left + besideMm.right, height: bottomMm - topMm }}
      label={describe(wearer)}
      {...(className === undefined ? {} : { className })}
    >
      <Wearer {...wearer} collar={collar} bottomMm={bottomMm} />
      <Landing {...wearer} />
      {stage === 'hung' && <Ends {...wearer} neckHalfMm={collar.neckHalfMm} />}
      <Landmarks {...wearer} />
      <Sides view={wearer.view} halfMm={halfMm} y={topMm} />
      {children}
    </Sheet>
  );
}

function describe({ request, plan, stage, state = 'snug' }: FrontFigureProps): string {
  const read = plan.start.readings[state];
  const say = (mm: number) => formatLength(roughly(mm, request.units), request.units);
  const belt = `Belt top ${say(frontDropOf(request.client).meanMm)} below the collar button.`;
  return stage === 'tied'
    ? `Front view, tied: the blade tip should end ${say(plan.tip.dropMm)} below the collar button (±${say(plan.tip.sdMm)}). ${belt}`
    : `Front view, before tying, ${dressing.readsAt[state].label}: the tail tip hangs ${say(read.tailDropMm)} and the blade tip ${say(read.bladeDropMm)} below the collar button. ${belt}`;
}

/** The tolerance as a band, and where the tip is to end, with how far it may miss; before tying only as a shadow of it. */
function Landing({ request, plan, stage }: FrontFigureProps) {
  const mmPerPx = useMmPerPx();
  const { aim, units } = request;
  const target = frontDropOf(request.client).meanMm + aim.offsetMm;
  const { dropMm, sdMm } = plan.tip;
  const x = -buildOfClient(request.client).halfMm - 8;
  return (
    <g>
      <g transform={`translate(-70 ${target - aim.aboveMm})`}>
        <rect width={140} height={Math.max(1, aim.aboveMm + aim.belowMm)} fill="#fff" fillOpacity={stage === 'tied' ? 0.35 : 0} />
        <rect
          width={140}
          height={Math.max(1, aim.aboveMm + aim.belowMm)}
          fill={inkColour.set}
          fillOpacity={stage === 'tied' ? 0.16 : 0.06}
          stroke={inkColour.set}
          strokeWidth={mmPerPx}
          strokeDasharray={`${4 * mmPerPx} ${3 * mmPerPx}`}
        />
      </g>
      <Dimension from={[x, dropMm - sdMm]} to={[x, dropMm + sdMm]} ink="follows" />
      <Note x={x - 5 * mmPerPx} y={dropMm + sdMm + 10 * mmPerPx} ink="follows" anchor="end" size={13} figure>
        tip ±{formatFigure(sdMm, units)}
      </Note>
      <path d={`M${x} ${dropMm}H0`} stroke={inkColour.follows} strokeWidth={mmPerPx} strokeDasharray={`${2 * mmPerPx} ${3 * mmPerPx}`} />
      <circle cx={x} cy={dropMm} r={3 * mmPerPx} fill={inkColour.follows} />
    </g>
  );
}

/** Both ends hung: the one to set with its line. */
function Ends({ request, plan, view, state = 'snug', neckHalfMm }: FrontFigureProps & { readonly neckHalfMm: number }) {
  const mmPerPx = useMmPerPx();
  const { client, units } = request;
  const { tailDropMm, bladeDropMm } = plan.start.readings[state];
  const { end } = plan.start.set;
  const dropMm = end === 'tail' ? tailDropMm : bladeDropMm;
  const x = bladeHangsX(client.blade, view, neckHalfMm, state);
  const setX = end === 'blade' ? x : -x;
  const lineX = setX + Math.sign(setX) * 44;
  const otherMm = end === 'blade' ? tailDropMm : bladeDropMm;
  return (
    <g>
      <Dimension from={[lineX, 0]} to={[lineX, dropMm]} ink="follows" />
      <Note x={setX} y={dropMm + 19 * mmPerPx} ink="follows" anchor="middle" size={19} figure>
        {formatFigure(roughly(dropMm, units), units)}
      </Note>
      <Note x={-setX} y={otherMm + 16 * mmPerPx} ink="follows" anchor="middle" size={14} figure>
        {formatFigure(roughly(otherMm, units), units)}
      </Note>
    </g>
  );
}

function Landmarks({ request }: FrontFigureProps) {
  const mmPerPx = useMmPerPx();
  const { halfMm } = buildOfClient(request.client);
  const named = landmarksOf(request.client, []).filter(({ name }) => name !== 'belt top');
  return (
    <g>
      {named.map(({ name, meanMm }) => (
        <g key={name}>
          <path d={`M${-halfMm} ${meanMm}h${-4 * mmPerPx}`} stroke="var(--color-soft)" strokeWidth={mmPerPx} />
          <Note x={-halfMm - 7 * mmPerPx} y={meanMm + 4 * mmPerPx} size={12} anchor="end">
            {name.replace('bottom of the ', '')}
          </Note>
        </g>
      ))}
    </g>
  );
}

function Sides({ view, halfMm, y }: { readonly view: WearerProps['view']; readonly halfMm: number; readonly y: number }) {
  const mmPerPx = useMmPerPx();
  const { left, right } = viewLabels[view];
  return (
    <g>
      <Note x={-halfMm - besideMm.left} y={y + 14 * mmPerPx} size={12}>
        {left}
      </Note>
      <Note x={halfMm + besideMm.right} y={y + 14 * mmPerPx} size={12} anchor="end">
        {right}
      </Note>
    </g>
  );
}
