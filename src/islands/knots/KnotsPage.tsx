import { useMemo, useState } from 'react';
import { knotCode } from '../../core/knot/code.ts';
import { mannerCodes, mannerOf, manners } from '../../core/knot/manners.ts';
import { parseKnot } from '../../core/knot/parse.ts';
import { type MapAxisCode, type MappedKnot, mapAxes } from '../../core/knotMap/mappedKnots.ts';
import { zoneFor } from '../../core/knotMap/zone.ts';
import { usePlainKeys, useShortcuts } from '../device/shortcuts.ts';
import { useKnotPictures } from '../seen/useKnotPictures.ts';
import { Switch } from '../ui/Switch.tsx';
import { FindKnot } from './FindKnot.tsx';
import { filterLabels, noFilters, passes } from './filters.ts';
import { KnotMap } from './KnotMap.tsx';
import { KnotPanel } from './KnotPanel.tsx';
import { KnotTable } from './KnotTable.tsx';
import type { Laying } from './useKnots.ts';
import { type KnotsView, WithKnots } from './WithKnots.tsx';

/** Every knot there is, for this tie on this collar. */
export function KnotsPage() {
  const [lay, setLay] = useState<Laying>({});
  return <WithKnots lay={lay}>{(atHand) => <Laid {...atHand} onLay={setLay} />}</WithKnots>;
}

interface LaidProps extends KnotsView {
  readonly onLay: (lay: Laying) => void;
}

const families = [...mannerCodes.map((key) => ({ key, label: manners[key].label })), { key: 'any', label: 'all' }] as const;

const forms = [
  { key: 'field', label: 'field' },
  { key: 'list', label: 'list' },
] as const;

const axisCodes = Object.keys(mapAxes) as MapAxisCode[];
const fewest = 2;
const most = 9;

function Laid({ request, knots, client, values, units, onTake, onLay }: LaidProps) {
  const [axes, setAxes] = useState<{ readonly x: MapAxisCode; readonly y: MapAxisCode }>({ x: 'size', y: 'lean' });
  const [filters, setFilters] = useState(noFilters);
  const [form, setForm] = useState<'field' | 'list'>('field');
  const [code, setCode] = useState<string>();
  const [tray, setTray] = useState<readonly string[]>([]);
  const [plainKeys] = usePlainKeys();
  useShortcuts({ find: () => document.getElementById('find')?.focus() }, plainKeys);
  const shown = useMemo(() => knots.filter((knot) => passes(knot, filters) || knot.code === code), [knots, filters, code]);
  const zone = useMemo(() => zoneFor(request.shirt, knots), [request.shirt, knots]);
  const chosen = knots.find((knot) => knot.code === code) ?? atFirst(shown, values.knot);
  const colour = values.cloth.tie[0] ?? '#5a626b';
  const pictureOf = useKnotPictures(colour);
  return (
    <div className="grid gap-x-6 lg:grid-cols-[minmax(0,1fr)_20rem]">
      <div>
        <div className="flex flex-wrap items-start justify-between gap-x-5 gap-y-1">
          <FindKnot
            frame={{ view: 'own', blade: request.client.blade }}
            knots={knots}
            client={client}
            onFind={(word) => {
              const knot = parseKnot(word);
              onLay({ manner: mannerOf(knot), also: [word] });
              setFilters(noFilters);
              setCode(knotCode(knot));
            }}
          />
          <Switch
            label="Family"
            value={request.taste.manner}
            choices={families}
            onChange={(manner) => {
              onLay({ manner, also: [] });
              setCode(undefined);
            }}
          />
          <Switch label="Form" value={form} choices={forms} onChange={setForm} />
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
        {form === 'field' ? (
          <>
            <KnotMap
              knots={shown}
              axes={axes}
              zone={zone}
              chosen={chosen?.code}
              marked={tray}
              colour={colour}
              frame={{ view: 'facing', blade: request.client.blade }}
              pictureOf={pictureOf}
              units={units}
              onChoose={setCode}
              onOpen={(which) => location.assign(`/knots/${which}`)}
            />
            <div className="flex flex-wrap gap-x-6">
              {(['x', 'y'] as const).map((side) => (
                <label key={side} className="flex min-h-9 items-center gap-2">
                  {side === 'x' ? 'across' : 'up'}
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
          <KnotTable
            knots={shown}
            chosen={chosen?.code}
            colour={colour}
            frame={{ view: 'facing', blade: request.client.blade }}
            pictureOf={pictureOf}
            units={units}
            onChoose={setCode}
          />
        )}
      </div>
      {chosen && (
        <KnotPanel
          knot={chosen}
          knots={knots}
          request={request}
          values={values}
          units={units}
          tray={tray}
          onTray={setTray}
          onChoose={setCode}
          onTake={onTake}
        />
      )}
    </div>
  );
}

/** The knot on the bench; where none was chosen there, the best that has a name. */
function atFirst(shown: readonly MappedKnot[], word: string | null): MappedKnot | undefined {
  return shown.find(({ plan }) => plan.moves === word) ?? shown.find(({ plan }) => plan.names.length > 0) ?? shown[0];
}
