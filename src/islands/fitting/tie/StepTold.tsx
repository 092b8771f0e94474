import { type DimpleWayCode, dimpleWays, dimpleWaysFor } from '../../../core/guide/dimples.ts';
import { type GuideStep, saysIn } from '../../../core/guide/guide.ts';
import type { Tie } from '../../../core/tie/tie.ts';
import { Switch } from '../../ui/Switch.tsx';

interface StepToldProps {
  readonly step: GuideStep;
  /** The one after it. */
  readonly following: GuideStep | undefined;
  readonly tie: Pick<Tie, 'fabric' | 'thicknessMm' | 'bladeMm'>;
  readonly way: DimpleWayCode | undefined;
  readonly onWay: (way: DimpleWayCode) => void;
  /** What the pinch check should show on this client; nothing where it is not the moment for it. */
  readonly pinch: string | null;
  /** Where the start is set, for the moment the tie is laid on. */
  readonly start: string;
}

/** One step in words: first what is done, then what tells that it was right, then the hands. */
export function StepTold({ step, following, tie, way, onWay, pinch, start }: StepToldProps) {
  const ways = dimpleWaysFor(tie);
  return (
    <div className="space-y-2 py-2">
      <p
        aria-live="polite"
        className={`leading-tight font-semibold text-balance ${step.kind === 'finish' ? 'text-[calc(0.78*var(--text-step))]' : 'text-step'}`}
      >
        {saysIn(step)}
      </p>
      {step.kind === 'lay' && (
        <>
          <p className="text-xl font-medium text-follows">{start}</p>
          <p>{step.hold}</p>
          <Mind says={step.mind} />
        </>
      )}
      {step.kind === 'move' && (
        <>
          <p className="text-xl">
            {step.told.shown} {step.told.rests}
          </p>
          <p className="text-soft">{step.told.hold}</p>
          {step.told.mind && <Mind says={step.told.mind} />}
          {pinch && <p className="text-xl font-medium text-follows">{pinch}</p>}
        </>
      )}
      {step.kind === 'finish' && (
        <>
          {step.finish.code === 'dimple' && step.finish.title !== 'No dimple' && (
            <Switch
              label="How the dimple is laid"
              small
              value={way ?? ways[0] ?? 'pinch'}
              choices={ways.map((key) => ({ key, label: dimpleWays[key].label }))}
              onChange={onWay}
            />
          )}
          <p className="text-xl">{step.finish.looks}</p>
          <p className="text-soft">
            <b className="font-medium text-outside">{step.finish.wrong}</b> {step.finish.remedy}
          </p>
        </>
      )}
      {following && (
        <p className="border-t border-line pt-2 text-soft">
          <b className="font-medium">Then:</b> {saysIn(following)}
        </p>
      )}
    </div>
  );
}

function Mind({ says }: { readonly says: string }) {
  return <p className="border-l-4 border-set pl-3 font-medium">{says}</p>;
}
