import type { Frame } from '../../core/index.ts';
import type { MapAxis, MappedKnot } from '../../core/knotMap/mappedKnots.ts';
import type { LengthUnit } from '../../core/units/length.ts';
import { KnotMark } from '../knot/KnotSilhouette.tsx';
import type { KnotPicture } from '../knot/picture.ts';
import { inkColour } from '../sheet/ink.ts';

/** Where a knot stands on the map, px. */
export interface Placed {
  readonly knot: MappedKnot;
  readonly x: number;
  readonly y: number;
}

export interface MapTick {
  readonly value: number;
  readonly at: number;
}

interface KnotsPlacedProps {
  readonly width: number;
  readonly height: number;
  readonly placed: readonly Placed[];
  /** Pixels a millimetre of knot is drawn at. */
  readonly scale: number;
  readonly xAxis: MapAxis;
  readonly yAxis: MapAxis;
  readonly xTicks: readonly MapTick[];
  readonly yTicks: readonly MapTick[];
  /** Sizes that suit the collar, px from and to, along one of the axes. */
  readonly zone: { readonly along: 'x' | 'y'; readonly from: number; readonly to: number } | undefined;
  readonly chosen: string | undefined;
  readonly marked: ReadonlySet<string>;
  readonly colour: string;
  readonly frame: Frame;
  /** Small pictures of knots tied in cloth, by their codes. */
  readonly pictureOf: (code: string) => KnotPicture | undefined;
  readonly units: LengthUnit;
  readonly onChoose: (code: string) => void;
  /** Makes an option's id from a knot's code. */
  readonly idOf: (code: string) => string;
}

/** Room for the words of the axis that goes up, px. */
export const mapLeft = 150;

/** All knots where two measures put them, each as its own small silhouette, with the zone that suits the collar. */
export function KnotsPlaced(props: KnotsPlacedProps) {
  const { width, height, placed, zone, xAxis, yAxis, xTicks, yTicks, units } = props;
  const left = mapLeft;
  const bottom = height - 40;
  return (
    <>
      <rect width={width} height={height} fill="var(--color-ground)" />
      {zone && (
        <g>
          <rect
            x={zone.along === 'x' ? zone.from : left}
            y={zone.along === 'x' ? 0 : zone.to}
            width={zone.along === 'x' ? Math.max(0, zone.to - zone.from) : width - left}
            height={zone.along === 'x' ? bottom : Math.max(0, zone.from - zone.to)}
            fill={inkColour.follows}
            fillOpacity={0.13}
            data-testid="zone"
          />
          <text
            x={zone.along === 'x' ? Math.max(left + 18, zone.from) + 8 : left + 26}
            y={zone.along === 'x' ? 18 : zone.to + 18}
            fontSize={13}
            fill={inkColour.follows}
          >
            suits the collar
          </text>
        </g>
      )}
      {placed.map((each) => (
        <Silhouette key={each.knot.code} {...props} {...each} />
      ))}
      {labelsFor(props).map(({ knot, x, y }) => (
        <text
          key={knot.code}
          x={x}
          y={y}
          textAnchor="middle"
          fontSize={labelPx}
          fontWeight={knot.code === props.chosen ? 600 : 400}
          fill="var(--color-ink)"
          stroke="var(--color-ground)"
          strokeWidth={3}
          paintOrder="stroke"
          pointerEvents="none"
          aria-hidden
        >
          {knot.title}
        </text>
      ))}
      <g>
        <rect x={0} y={0} width={left} height={height} fill="var(--color-ground)" fillOpacity={0.85} />
        <rect x={0} y={bottom} width={width} height={height - bottom} fill="var(--color-ground)" fillOpacity={0.85} />
        <path d={`M${left} 0V${bottom}H${width}`} fill="none" stroke="var(--color-ink)" strokeWidth={1} />
        {xTicks.map(({ value, at }) => (
          <text key={value} x={at} y={bottom + 16} textAnchor="middle" fontSize={12} className="figures" fill="var(--color-soft)">
            {xAxis.say(value, units)}
          </text>
        ))}
        <text x={width - 4} y={height - 6} textAnchor="end" fontSize={13} fill="var(--color-ink)">
          {xAxis.label} →
        </text>
        {yTicks.map(({ value, at }) => (
          <text key={value} x={left - 6} y={at + 4} textAnchor="end" fontSize={11} className="figures" fill="var(--color-soft)">
            {yAxis.say(value, units)}
          </text>
        ))}
        <text transform={`translate(${left + 14} ${12}) rotate(90)`} fontSize={13} fill="var(--color-ink)">
          {yAxis.label}
        </text>
      </g>
    </>
  );
}

function Silhouette({
  knot,
  x,
  y,
  scale,
  chosen,
  marked,
  colour,
  frame,
  pictureOf,
  units,
  xAxis,
  yAxis,
  onChoose,
  idOf,
}: KnotsPlacedProps & Placed) {
  const { shape, moves, feasible } = knot.plan;
  const isChosen = chosen === knot.code;
  return (
    <g
      id={idOf(knot.code)}
      role="option"
      aria-selected={isChosen}
      aria-label={`${knot.title}: ${xAxis.label} ${xAxis.say(xAxis.of(knot), units)}, ${yAxis.label} ${yAxis.say(yAxis.of(knot), units)}`}
      data-code={knot.code}
      className="cursor-pointer"
      opacity={feasible || isChosen ? 1 : 0.4}
      transform={`translate(${x.toFixed(1)} ${y.toFixed(1)}) scale(${scale.toFixed(3)})`}
      onClick={() => onChoose(knot.code)}
    >
      <g transform={`translate(0 ${-shape.heightMm / 2})`}>
        <KnotMark
          word={moves}
          shape={shape}
          frame={frame}
          colour={colour}
          picture={pictureOf(knot.code)}
          edge="var(--color-ground)"
          edgeWidth={1.6 / scale}
        />
        {marked.has(knot.code) && (
          <rect x={-shape.topMm / 2} y={shape.heightMm + 3} width={shape.topMm} height={4 / scale} fill={inkColour.set} />
        )}
        {isChosen && (
          <rect
            x={-shape.topMm / 2 - 5}
            y={-6}
            width={shape.topMm + 10}
            height={shape.heightMm + 12}
            fill="none"
            stroke={inkColour.set}
            strokeWidth={2.5 / scale}
          />
        )}
      </g>
    </g>
  );
}

const labelPx = 12;
/** About how wide a letter of a label is, px. */
const letterPx = 6.2;

interface Label extends Placed {
  readonly halfPx: number;
}

/** Names under their knots, the chosen one's first, then the everyday ones; a name that would lie on another is left out until one comes nearer. */
function labelsFor({ placed, chosen, scale }: KnotsPlacedProps): Placed[] {
  const rank = ({ knot }: Placed) => (knot.code === chosen ? 0 : knot.plan.properties.everyday ? 1 : 2);
  const taken: Label[] = [];
  for (const each of placed
    .filter(({ knot }) => knot.plan.names.length > 0 || knot.code === chosen)
    .toSorted((a, b) => rank(a) - rank(b))) {
    const label: Label = {
      ...each,
      y: each.y + (each.knot.plan.shape.heightMm / 2) * scale + labelPx,
      halfPx: (each.knot.title.length * letterPx) / 2,
    };
    const lies = taken.some(
      (other) => Math.abs(other.x - label.x) < other.halfPx + label.halfPx && Math.abs(other.y - label.y) < labelPx + 3,
    );
    if (!lies) taken.push(label);
  }
  return taken;
}
