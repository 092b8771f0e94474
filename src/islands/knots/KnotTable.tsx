import { useState } from 'react';
import type { Frame } from '../../core/index.ts';
import { type MapAxis, type MapAxisCode, type MappedKnot, mapAxes } from '../../core/knotMap/mappedKnots.ts';
import type { LengthUnit } from '../../core/units/length.ts';
import { KnotSilhouette } from '../../drawing/knot/KnotSilhouette.tsx';
import type { KnotPicture } from '../../drawing/knot/picture.ts';
import { Moves } from '../ui/Moves.tsx';
import { capital } from '../ui/words.ts';

interface KnotTableProps {
  readonly knots: readonly MappedKnot[];
  readonly chosen: string | undefined;
  readonly colour: string;
  readonly frame: Frame;
  readonly pictureOf: (code: string) => KnotPicture | undefined;
  readonly units: LengthUnit;
  readonly onChoose: (code: string) => void;
}

const columns: readonly MapAxisCode[] = ['size', 'lean', 'height', 'takeUp', 'fill', 'moves', 'chance'];

/** The same knots as a table, ordered by whichever column is pressed. */
export function KnotTable({ knots, chosen, colour, frame, pictureOf, units, onChoose }: KnotTableProps) {
  const [by, setBy] = useState<MapAxisCode>('size');
  const axis: MapAxis = mapAxes[by];
  const sorted = knots.toSorted((a, b) => axis.of(a) - axis.of(b));
  return (
    <div className="max-h-[34rem] overflow-auto">
      <table className="w-full text-left">
        <caption className="sr-only">All knots with their measures</caption>
        <thead className="sticky top-0 bg-ground text-note text-soft">
          <tr className="border-b-2 border-ink">
            <th className="font-normal">Knot</th>
            {columns.map((code) => (
              <th key={code} className="pl-3 text-right font-normal" aria-sort={by === code ? 'ascending' : 'none'}>
                <button
                  type="button"
                  className={`min-h-8 cursor-pointer ${by === code ? 'text-ink underline' : ''}`}
                  onClick={() => setBy(code)}
                >
                  {capital(mapAxes[code].label)}
                </button>
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {sorted.map((knot) => (
            <tr key={knot.code} className={`border-b border-faint ${knot.code === chosen ? 'bg-white' : ''}`}>
              <th scope="row" className="font-normal">
                <button
                  type="button"
                  className="flex min-h-9 cursor-pointer items-center gap-2 text-left text-set"
                  aria-pressed={knot.code === chosen}
                  onClick={() => onChoose(knot.code)}
                >
                  <KnotSilhouette
                    word={knot.plan.moves}
                    shape={knot.plan.shape}
                    frame={frame}
                    colour={colour}
                    picture={pictureOf(knot.code)}
                  />
                  <span>
                    {knot.title} <Moves of={knot.plan.moves} frame={frame} className="block text-note text-soft" />
                  </span>
                </button>
              </th>
              {columns.map((code) => {
                const each: MapAxis = mapAxes[code];
                return (
                  <td key={code} className={`figures pl-3 text-right ${knot.plan.feasible ? '' : 'text-soft'}`}>
                    {code === 'chance' && !knot.plan.feasible ? '—' : each.say(each.of(knot), units)}
                  </td>
                );
              })}
            </tr>
          ))}
        </tbody>
      </table>
    </div>
  );
}
