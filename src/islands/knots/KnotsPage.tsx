import { useMemo, useState } from 'react';
import type { Given } from '../../contract/given.ts';
import { knotCode } from '../../core/knot/code.ts';
import { mannerCodes, mannerOf, manners } from '../../core/knot/manners.ts';
import { parseKnot } from '../../core/knot/parse.ts';
import { type MapAxisCode, type MappedKnot, mapAxes } from '../../core/knotMap/mappedKnots.ts';
import { zoneFor } from '../../core/knotMap/zone.ts';
import { useAsked } from '../atHand/useAtHand.ts';
import { useShortcuts } from '../device/shortcuts.ts';
import { useKnotPictures } from '../seen/useKnotPictures.ts';
import { MovesKey } from '../ui/Moves.tsx';
import { OwnTurn } from '../ui/OwnTurn.tsx';
import { Switch } from '../ui/Switch.tsx';
import { FindKnot } from './FindKnot.tsx';
import { filterLabels, noFilters, passes } from './filters.ts';
import { KnotMap } from './KnotMap.tsx';
import { KnotPanel } from './KnotPanel.tsx';
import { KnotsAtHand, useColoursAtHand } from './KnotsAtHand.tsx';
import { KnotTable } from './KnotTable.tsx';
import type { Laying } from './useKnots.ts';

const asAtHand: Laying = {};

/** Every knot, for this tie on this collar. */
export function KnotsPage({ given }: { readonly given: Given }) {
  const [lay, setLay] = useState(asAtHand);
  return (
    <KnotsAtHand given={given} lay={lay}>
      {(knots) => <Laid knots={knots} lay={lay} onLay={setLay} />}
    </KnotsAtHand>
  );
}

interface LaidProps {
  readonly knots: readonly MappedKnot[];
  readonly lay: Laying;
  readonly onLay: (lay: Laying) => void;
}

const families = [...mannerCodes.map((key) => ({ key, label: manners[key].label })), { key: 'any', label: 'all' }] as const;

const forms = [
  { key: 'map', label: 'map' },
  { key: 'list', label: 'list' },
] as const;

const axisCodes = Object.keys(mapAxes) as MapAxisCode[];
const fewest = 2;
const most = 9;

function Laid({ knots, lay, onLay }: LaidProps) {
  const { request, values, units, frame } = useAsked();
  const [axes, setAxes] = useState<{ readonly x: MapAxisCode; readonly y: MapAxisCode }>({ x: 'size', y: 'lean' });
  const [filters, setFilters] = useState(noFilters);
  const [form, setForm] = useState<'map' | 'list'>('map');
  const [code, setCode] = useState<string>();
  const [tray, setTray] = useState<readonly string[]>([]);
  useShortcuts({ find: () => document.getElementById('find')?.focus() });
  const shown = useMemo(() => knots.filter((knot) => passes(knot, filters) || knot.code === code), [knots, filters, code]);
  const zone = useMemo(() => zoneFor(request.shirt, knots), [request.shirt, knots]);
  const chosen = knots.find((knot) => knot.code === code) ?? atFirst(shown, values.knot);
  const [colour = ''] = useColoursAtHand().cloth.colours;
  const pictureOf = useKnotPictures(
    colour,
    knots.map(({ code }) => code),
  );
  const seen = { knots: shown, chosen: chosen?.code, colour, frame, pictureOf, units, onChoose: setCode };
  return (
    <div className="grid gap-x-6 lg:grid-cols-[minmax(0,1fr)_20rem]">
      <div>
        <div className="flex flex-wrap items-start justify-between gap-x-5 gap-y-1">
          <FindKnot
            knots={knots}
            chosen={chosen}
            onFind={(moves) => {
              const knot = parseKnot(moves);
              // What is laid out already stays, so that the knot it was looked for from is still there.
              if (!knots.some(({ plan }) => plan.moves === moves)) onLay({ manner: mannerOf(knot), also: [moves] });
              setFilters(noFilters);
              setCode(knotCode(knot));
            }}
          />
          <Switch
            label="Family"
            value={lay.manner ?? request.search.manner}
            choices={families}
            onChange={(manner) => {
              onLay({ manner, also: [] });
              setCode(undefined);
            }}
          />
          <Switch label="Map or list" value={form} choices={forms} onChange={setForm} />
        </div>
        <div className="flex flex-wrap items-center gap-x-4 pb-1 text-[0.95rem]">
          {(Object.keys(filterLabels) as (keyof typeof filterLabels)[]).map((key) => (
            <label key={key} className="flex min-h-8 cursor-pointer items-center gap-1.5">
              <input
                type="checkbox"
                className="size-4 accent-set"
                checked={filters[key]}
                onChange={(event) => setFilters({ ...filters, [key]: event.target.checked })}
              />
              {filterLabels[key]}
            </label>
          ))}
          <label className="flex min-h-8 items-center gap-2">
            at most <span className="figures w-3 text-lg text-set">{filters.mostMoves}</span> moves
            <input
              type="range"
              min={fewest}
              max={most}
              className="h-8 w-24 accent-set"
              value={filters.mostMoves}
              onChange={(event) => setFilters({ ...filters, mostMoves: Number(event.target.value) })}
            />
          </label>
          <p role="status" className="text-note text-soft">
            {shown.length} of {knots.length} knots
          </p>
        </div>
        {form === 'map' ? (
          <>
            <p className="text-note text-soft">
              Each picture is a knot{axes.x === 'size' || axes.y === 'size' ? '; the shaded band suits this collar' : ''}. Pale ones won’t
              work with this tie.
            </p>
            <OwnTurn>
              <KnotMap {...seen} axes={axes} zone={zone} marked={tray} onOpen={(which) => location.assign(`/knots/${which}`)} />
            </OwnTurn>
            <div className="flex flex-wrap gap-x-6">
              {(['x', 'y'] as const).map((side) => (
                <label key={side} className="flex min-h-9 items-center gap-2">
                  {side === 'x' ? 'Across' : 'Up'}
                  <select
                    className="h-9 border-b-2 border-set/40 bg-transparent text-set"
                    value={axes[side]}
                    onChange={(event) => setAxes({ ...axes, [side]: event.target.value as MapAxisCode })}
                  >
                    {axisCodes.map((axis) => (
                      <option key={axis} value={axis}>
                        {mapAxes[axis].label}
                      </option>
                    ))}
                  </select>
                </label>
              ))}
            </div>
          </>
        ) : (
          <>
            <MovesKey frame={frame} />
            <KnotTable {...seen} />
          </>
        )}
      </div>
      {chosen && (
        <OwnTurn>
          <KnotPanel knot={chosen} knots={knots} tray={tray} onTray={setTray} onChoose={setCode} />
        </OwnTurn>
      )}
    </div>
  );
}

/** The knot of the fitting; where none was chosen there, the best that has a name. */
function atFirst(shown: readonly MappedKnot[], moves: string | null): MappedKnot | undefined {
  return shown.find(({ plan }) => plan.moves === moves) ?? shown.find(({ plan }) => plan.names.length > 0) ?? shown[0];
}
