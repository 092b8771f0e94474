import type { Frame, KnotPlan, KnotShape, PlanRequest } from '../../core/index.ts';
import type { StateCode } from '../../core/start/reading.ts';
import type { FabricLook } from '../../core/tie/fabricLook.ts';
import { fabrics } from '../../core/tie/fabrics.ts';
import { patterns } from '../../core/tie/patterns.ts';
import { FabricDefs } from '../fabric/FabricDefs.tsx';
import { fabricFill } from '../fabric/fabricFill.ts';
import { polygon } from '../geometry/path.ts';
import type { View } from '../geometry/view.ts';
import { KnotInCloth } from '../knot/KnotInCloth.tsx';
import { type KnotPicture, scaleOf } from '../knot/picture.ts';
import { TiedKnot } from '../knot/TiedKnot.tsx';
import { HangingBlade } from '../tie/HangingBlade.tsx';
import { endBelowKnot, type Foot } from '../tie/outline.ts';
import { CollarBand } from './CollarBand.tsx';
import { Dressed, type DressedProps } from './Dressed.tsx';
import { HungTie } from './HungTie.tsx';

export interface WearerProps extends Omit<DressedProps, 'request' | 'children' | 'throughWaistcoat'> {
  readonly request: PlanRequest;
  readonly plan: KnotPlan;
  readonly view: View;
  /** Before the first move, or with the knot drawn up. */
  readonly stage: 'hung' | 'tied';
  /** How a hung tie lies while its start is read: snug unless said otherwise. */
  readonly state?: StateCode | undefined;
  readonly cloth: FabricLook;
  /** The knot tied in this cloth, where there is a picture of it; drawn by its layers otherwise. */
  readonly picture?: KnotPicture | undefined;
}

/** The front of a dressed client with a tie, in true proportion, from the core's numbers. */
export function Wearer(props: WearerProps) {
  const { id, request, plan, stage, cloth } = props;
  const { neckHalfMm } = props.collar;
  const behindWaistcoat = stage === 'tied' && (
    <path
      d={polygon(endBelowKnot(request.tie, 'blade', { asideMm: 0, widthMm: plan.shape.bottomMm }, plan.shape.heightMm, plan.tip.dropMm))}
      fill="none"
      stroke="#fff"
      strokeOpacity={0.8}
      strokeWidth={1.2}
      strokeDasharray="5 5"
    />
  );
  const band = stage === 'tied' && <CollarBand id={id} request={request} plan={plan} neckHalfMm={neckHalfMm} />;
  // Both ends are hung before a waistcoat is closed over them.
  const worn = stage === 'hung' && request.jacket ? { ...request, jacket: { ...request.jacket, waistcoat: false } } : request;
  return (
    <Dressed {...props} request={worn} band={band} throughWaistcoat={behindWaistcoat}>
      <defs>
        <FabricDefs id={id} cloth={cloth} />
      </defs>
      {stage === 'tied' ? (
        <Tied {...props} />
      ) : (
        <HungTie id={id} request={request} plan={plan} view={props.view} neckHalfMm={neckHalfMm} state={props.state ?? 'snug'} />
      )}
    </Dressed>
  );
}

function Tied({ id, request, plan, view, cloth, picture, bottomMm }: WearerProps) {
  const { tie } = request;
  const { sheen } = fabrics[tie.fabric];
  const dimple = patterns[tie.pattern].quiet ? fabrics[tie.fabric].dimple : fabrics[tie.fabric].dimple * 0.5;
  const { heightMm } = plan.shape;
  const isPanel = plan.properties.finish === 'open';
  const frame = { view, blade: request.client.blade };
  const foot = footOf(plan.shape, frame, picture);
  return (
    <g>
      {plan.tail.dropMm > heightMm && (
        <path
          d={polygon(endBelowKnot(tie, 'tail', { ...foot, widthMm: 0.94 * foot.widthMm }, heightMm - 4, plan.tail.dropMm, bottomMm))}
          fill={fabricFill(id, 'down')}
          stroke="#000"
          strokeOpacity="0.5"
          strokeWidth="0.7"
        />
      )}
      <HangingBlade
        id={id}
        tie={tie}
        shape={plan.shape}
        foot={foot}
        tipMm={plan.tip.dropMm}
        bottomMm={bottomMm}
        sheen={sheen}
        dimple={isPanel ? 0 : dimple}
        unbroken={isPanel}
      />
      {picture ? (
        <KnotInCloth picture={picture} shape={plan.shape} frame={frame} />
      ) : (
        <TiedKnot id={id} word={plan.moves} shape={plan.shape} frame={frame} cloth={cloth} sheen={sheen} />
      )}
    </g>
  );
}

/** Where the blade comes out of the knot: out of the foot of the picture where there is one, otherwise out of the middle. */
function footOf(shape: KnotShape, frame: Frame, picture: KnotPicture | undefined): Foot {
  if (!picture?.footMm) return { asideMm: 0, widthMm: 0.96 * shape.bottomMm };
  const [across] = scaleOf(picture, shape, frame);
  const [from, to] = picture.footMm;
  return { asideMm: (across * (from + to)) / 2, widthMm: Math.abs(across) * (to - from) };
}
