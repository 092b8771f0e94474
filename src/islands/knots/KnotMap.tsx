import { scaleLinear } from 'd3-scale';
import { select } from 'd3-selection';
import { type D3ZoomEvent, type ZoomTransform, zoom, zoomIdentity } from 'd3-zoom';
import { type KeyboardEvent, useEffect, useId, useMemo, useRef, useState } from 'react';
import type { Frame } from '../../core/index.ts';
import { type MapAxis, type MapAxisCode, type MappedKnot, mapAxes } from '../../core/knotMap/mappedKnots.ts';
import type { Zone } from '../../core/knotMap/zone.ts';
import type { LengthUnit } from '../../core/units/length.ts';
import type { KnotPicture } from '../../drawing/knot/picture.ts';
import { KnotsPlaced, mapLeft, type Placed } from '../../drawing/knotMap/KnotsPlaced.tsx';

interface KnotMapProps {
  readonly knots: readonly MappedKnot[];
  readonly axes: { readonly x: MapAxisCode; readonly y: MapAxisCode };
  readonly zone: Zone | undefined;
  readonly chosen: string | undefined;
  readonly marked: readonly string[];
  readonly colour: string;
  readonly frame: Frame;
  readonly pictureOf: (code: string) => KnotPicture | undefined;
  readonly units: LengthUnit;
  readonly onChoose: (code: string) => void;
  readonly onOpen: (code: string) => void;
}

/** Which way each key walks, in the picture's own directions. */
const walks: Readonly<Record<string, readonly [dx: number, dy: number]>> = {
  ArrowRight: [1, 0],
  ArrowLeft: [-1, 0],
  ArrowUp: [0, -1],
  ArrowDown: [0, 1],
};
const zooms: Readonly<Record<string, number>> = { '+': 1.5, '-': 1 / 1.5 };

const width = 860;
const height = 470;
const margin = { left: mapLeft + 40, right: 50, top: 40, bottom: 76 };
const mostZoom = 12;
/** Pixels a millimetre of knot is drawn at before zooming. */
const knotScale = 0.62;

/** The knots as a map: zoomed by wheel, drag or keys, walked by the arrow keys. */
export function KnotMap({ knots, axes, zone, chosen, marked, colour, frame, pictureOf, units, onChoose, onOpen }: KnotMapProps) {
  const svg = useRef<SVGSVGElement>(null);
  const [transform, setTransform] = useState<ZoomTransform>(zoomIdentity);
  const id = useId();
  const idOf = (code: string) => `${id}-${code.replace('.', '-')}`;
  const behaviour = useMemo(
    () =>
      zoom<SVGSVGElement, unknown>()
        .scaleExtent([1, mostZoom])
        .translateExtent([
          [0, 0],
          [width, height],
        ])
        .on('zoom', (event: D3ZoomEvent<SVGSVGElement, unknown>) => setTransform(event.transform)),
    [],
  );
  useEffect(() => {
    const element = svg.current;
    if (!element) return;
    select(element).call(behaviour).on('dblclick.zoom', null);
    return () => {
      select(element).on('.zoom', null);
    };
  }, [behaviour]);
  const zoomBy = (factor: number) => svg.current && behaviour.scaleBy(select(svg.current), factor);
  const zoomOut = () => svg.current && behaviour.transform(select(svg.current), zoomIdentity);

  const xAxis: MapAxis = mapAxes[axes.x];
  const yAxis: MapAxis = mapAxes[axes.y];
  const x = transform.rescaleX(scaleLinear(spanOf(knots, xAxis), [margin.left, width - margin.right]));
  const y = transform.rescaleY(scaleLinear(spanOf(knots, yAxis), [height - margin.bottom, margin.top]));
  const placed = spread(
    knots.map((knot): Placed => ({ knot, x: x(xAxis.of(knot)), y: y(yAxis.of(knot)) })),
    chosen,
  );
  const zoneOf = (): { along: 'x' | 'y'; from: number; to: number } | undefined => {
    if (!zone) return undefined;
    if (axes.x === 'size') return { along: 'x', from: x(zone.fromMm), to: x(zone.toMm) };
    return axes.y === 'size' ? { along: 'y', from: y(zone.fromMm), to: y(zone.toMm) } : undefined;
  };

  const onKeyDown = (event: KeyboardEvent) => {
    const here = placed.find(({ knot }) => knot.code === chosen) ?? placed[0];
    if (!here) return;
    const step = walks[event.key];
    const factor = zooms[event.key];
    if (step) {
      const next = nearestToward(placed, here, ...step);
      if (next) onChoose(next.knot.code);
    } else if (factor !== undefined) zoomBy(factor);
    else if (event.key === '0') zoomOut();
    else if (event.key === 'Enter') onOpen(here.knot.code);
    else return;
    event.preventDefault();
    event.stopPropagation();
  };

  return (
    <div className="relative border-t border-line">
      <div
        role="listbox"
        tabIndex={0}
        aria-label="Map of knots"
        aria-activedescendant={chosen && placed.some(({ knot }) => knot.code === chosen) ? idOf(chosen) : undefined}
        onKeyDown={onKeyDown}
      >
        <svg ref={svg} viewBox={`0 0 ${width} ${height}`} className="block w-full touch-none" role="presentation">
          <KnotsPlaced
            width={width}
            height={height}
            placed={placed}
            scale={knotScale * Math.sqrt(transform.k)}
            xAxis={xAxis}
            yAxis={yAxis}
            xTicks={ticksOf(x, xAxis)}
            yTicks={ticksOf(y, yAxis)}
            zone={zoneOf()}
            chosen={chosen}
            marked={new Set(marked)}
            colour={colour}
            frame={frame}
            pictureOf={pictureOf}
            units={units}
            onChoose={onChoose}
            idOf={idOf}
          />
        </svg>
      </div>
      <div className="absolute top-1 right-1 flex">
        <MapButton label="Zoom in (+)" onPress={() => zoomBy(1.6)}>
          +
        </MapButton>
        <MapButton label="Zoom out (−)" onPress={() => zoomBy(1 / 1.6)}>
          −
        </MapButton>
        <MapButton label="All knots (0)" onPress={zoomOut}>
          all
        </MapButton>
      </div>
    </div>
  );
}

interface MapButtonProps {
  readonly label: string;
  readonly onPress: () => void;
  readonly children: string;
}

function MapButton({ label, onPress, children }: MapButtonProps) {
  return (
    <button
      type="button"
      aria-label={label}
      title={label}
      onClick={onPress}
      className="flex min-h-9 min-w-9 cursor-pointer items-center justify-center bg-ground/80 text-lg text-set hover:bg-set-wash"
    >
      {children}
    </button>
  );
}

function spanOf(knots: readonly MappedKnot[], axis: MapAxis): [number, number] {
  const values = knots.map(axis.of);
  const low = values.length > 0 ? Math.min(...values) : 0;
  const high = values.length > 0 ? Math.max(...values) : 1;
  const room = (high - low) * 0.04 || Math.abs(high) * 0.05 || 1;
  return [low - room, high + room];
}

function ticksOf(scale: { ticks: (count: number) => number[]; (value: number): number }, axis: MapAxis) {
  const seen = new Set<string>();
  return scale
    .ticks(6)
    .map((value) => ({ value, at: scale(value) }))
    .filter(({ value }) => {
      // Words of an axis that tells no figures are said once each.
      const words = axis.say(value, 'cm');
      return !seen.has(words) && seen.add(words);
    });
}

const tooNearPx = 3;

/** Knots at the very same place are set a little apart, so that each can be seen; the chosen one comes last, on top. */
function spread(placed: readonly Placed[], chosen: string | undefined): Placed[] {
  const taken: Placed[] = [];
  for (const each of placed) {
    const same = taken.filter(({ x, y }) => Math.abs(x - each.x) < tooNearPx && Math.abs(y - each.y) < tooNearPx).length;
    taken.push(same === 0 ? each : { ...each, x: each.x + 9 * same, y: each.y + 5 * same });
  }
  return taken.toSorted((a, b) => Number(a.knot.code === chosen) - Number(b.knot.code === chosen));
}

/** The knot a walk in one direction comes to first: near, and not far off to the side. */
function nearestToward(placed: readonly Placed[], from: Placed, dx: number, dy: number): Placed | undefined {
  const cost = ({ x, y }: Placed) => {
    const ahead = (x - from.x) * dx + (y - from.y) * dy;
    const aside = Math.abs((x - from.x) * dy) + Math.abs((y - from.y) * dx);
    return ahead > 0.5 ? ahead + 2.2 * aside : Number.POSITIVE_INFINITY;
  };
  return placed
    .filter((each) => each.knot.code !== from.knot.code && Number.isFinite(cost(each)))
    .reduce<Placed | undefined>((best, each) => (best && cost(best) <= cost(each) ? best : each), undefined);
}
