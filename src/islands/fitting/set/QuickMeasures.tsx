import { type ReactNode, useState } from 'react';
import { frontDropOf } from '../../../core/body/frontDrop.ts';
import { measures } from '../../../core/measures/measures.ts';
import { planKnot } from '../../../core/plan/plan.ts';
import { crossedLoopFrom, hangOf, openLoopFrom } from '../../../core/start/hang.ts';
import { gainOf, readingSd } from '../../../core/start/reading.ts';
import { formatLength, roughly } from '../../../core/units/length.ts';
import { HangSketch } from '../../../drawing/howto/HangSketch.tsx';
import { useAsked } from '../../atHand/useAtHand.ts';
import { Button } from '../../ui/Button.tsx';
import { PlainLength } from '../../ui/PlainLength.tsx';
import type { DrawnFitting } from '../FittingDrawn.tsx';
import { KeepInRecord } from '../KeepInRecord.tsx';
import { KeepWithPerson } from './KeepWithPerson.tsx';

/** The tie is in both hands and the tape on the table: what ten seconds with either would narrow, and how. */
export function QuickMeasures({ drawn: { plan, request } }: { readonly drawn: DrawnFitting }) {
  const { store, values, studio, client, units } = useAsked();
  const [levelMm, setLevelMm] = useState<number>();
  const [tailMm, setTailMm] = useState<number>();
  const [bladeMm, setBladeMm] = useState<number>();
  const { openLoopMm, crossedLoopMm, crossingGapMm } = request.client;
  const { lengthMm } = request.tie;
  const say = (mm: number) => formatLength(roughly(mm, units), units);
  const miss = (sdMm: number) => Math.hypot(plan.tip.sdMm, gainOf(plan) * sdMm);
  const withLoops = (loops: { readonly openLoopMm?: number; readonly crossedLoopMm?: number }) =>
    hangOf({ ...request, client: { ...request.client, ...loops } });
  const narrows = (state: 'open' | 'crossed', loops: Parameters<typeof withLoops>[0]) =>
    `Read ${state === 'open' ? 'hanging open' : 'with the ends crossed'}: ±${formatLength(miss(readingSd(state, 'tail', hangOf(request))), units)} becomes ±${formatLength(miss(readingSd(state, 'tail', withLoops(loops))), units)}.`;
  const drop = frontDropOf(request.client);
  const taped = planKnot({ ...request, client: { ...request.client, frontDropMm: drop.meanMm, frontDropHow: 'tape' } }, plan.moves);
  // With the collar known, what is left of the client's doubt is the front drop's own.
  const known = { ...request.calibration, client: { ...request.calibration.client, sdMm: drop.sdMm } };
  const collared = planKnot({ ...request, calibration: known }, plan.moves);
  const open = levelMm === undefined ? undefined : openLoopFrom(lengthMm, levelMm);
  const crossed = tailMm === undefined || bladeMm === undefined ? undefined : crossedLoopFrom(lengthMm, tailMm, bladeMm, crossingGapMm);
  const take = (key: 'openLoopMm' | 'crossedLoopMm', mm: number) => store.set(`question.client.${key}`, Math.round(mm));
  return (
    <section aria-label="Measure in ten seconds" className="divide-y divide-line">
      <div className="flex gap-4 py-2">
        <HangSketch of="open" />
        <div className="min-w-0 grow space-y-1">
          <h3 className="text-lg font-medium">Hang it level</h3>
          <p className="leading-snug text-soft">
            Around the raised collar, both tips level. How far do they hang below the collar button?{' '}
            {openLoopMm === null ? narrows('open', { openLoopMm: hangOf(request).open.meanMm }) : `Measured: open loop ${say(openLoopMm)}.`}
          </p>
          <PlainLength label="Both tips hang at" mm={levelMm} minMm={200} maxMm={900} units={units} onChange={setLevelMm} />
          <Taken
            mm={open}
            range={measures.client.openLoopMm}
            name="Open loop"
            units={units}
            onTake={(mm) => take('openLoopMm', mm)}
            keep={
              client && open !== undefined && <KeepInRecord piece="client" record={client} measure="openLoopMm" mm={Math.round(open)} />
            }
          />
        </div>
      </div>
      <div className="flex gap-4 py-2">
        <HangSketch of="crossed" />
        <div className="min-w-0 grow space-y-1">
          <h3 className="text-lg font-medium">Cross it where you cross it</h3>
          <p className="leading-snug text-soft">
            Cross the ends at their usual place and read both tips.{' '}
            {crossedLoopMm === null
              ? narrows('crossed', { crossedLoopMm: hangOf(request).crossed.meanMm })
              : `Measured: crossed loop ${say(crossedLoopMm)}.`}
          </p>
          <div className="flex flex-wrap gap-x-5">
            <PlainLength label="Tail tip" mm={tailMm} minMm={50} maxMm={1200} units={units} onChange={setTailMm} />
            <PlainLength label="Blade tip" mm={bladeMm} minMm={50} maxMm={1400} units={units} onChange={setBladeMm} />
          </div>
          <Taken
            mm={crossed}
            range={measures.client.crossedLoopMm}
            name="Crossed loop"
            units={units}
            onTake={(mm) => take('crossedLoopMm', mm)}
            keep={
              crossed !== undefined &&
              (studio.person && values.tiedOn !== 'self' ? (
                <KeepWithPerson person={studio.person} slackMm={crossed - hangOf(request).loopMm} />
              ) : (
                client && <KeepInRecord piece="client" record={client} measure="crossedLoopMm" mm={Math.round(crossed)} />
              ))
            }
          />
        </div>
      </div>
      <p className="py-2 leading-snug">
        <b className="font-medium">The tape down the front</b>{' '}
        <span className="text-soft">
          {drop.measured
            ? 'was taken: collar button to belt is measured.'
            : `from the collar button to the belt: ±${formatLength(plan.tip.sdMm, units)} becomes ±${formatLength(taped.tip.sdMm, units)}. Drag the blue handle, or enter it under Choose.`}
        </span>
      </p>
      {values.question.client.neckMm === null && (
        <p className="py-2 leading-snug">
          <b className="font-medium">The collar</b>{' '}
          <span className="text-soft">
            was never measured: the size in the shirt is enough. ±{formatLength(plan.tip.sdMm, units)} becomes ±
            {formatLength(collared.tip.sdMm, units)}. Enter it under Choose.
          </span>
        </p>
      )}
    </section>
  );
}

interface TakenProps {
  readonly mm: number | undefined;
  readonly range: { readonly minMm: number; readonly maxMm: number };
  readonly name: string;
  readonly units: 'cm' | 'in';
  readonly onTake: (mm: number) => void;
  readonly keep: ReactNode;
}

/** What comes of a measurement, to be used at once and kept where it belongs. */
function Taken({ mm, range, name, units, onTake, keep }: TakenProps) {
  if (mm === undefined) return null;
  if (mm < range.minMm || mm > range.maxMm)
    return (
      <p className="text-outside">
        That can’t be: a {name.toLowerCase()} is {formatLength(range.minMm, units)} to {formatLength(range.maxMm, units)}.
      </p>
    );
  return (
    <p className="flex flex-wrap items-center gap-x-3 text-follows">
      {name} {formatLength(mm, units)}
      <Button look="other" onClick={() => onTake(mm)}>
        Use it now
      </Button>
      {keep}
    </p>
  );
}
