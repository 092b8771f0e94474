import { useState } from 'react';
import { formatKnot } from '../../core/index.ts';
import { knotOfCode } from '../../core/knot/code.ts';
import { differencesInWords } from '../../core/knotMap/compare.ts';
import { type MapAxis, type MapAxisCode, mapAxes } from '../../core/knotMap/mappedKnots.ts';
import { CollarInCloth } from '../seen/CollarInCloth.tsx';
import { drawnOn } from '../seen/drawnOn.ts';
import { TurnedTogether } from '../seen/TurnedTogether.tsx';
import { dimpleOf } from '../seen/useShownCloth.ts';
import { type KnotsView, WithKnots } from './WithKnots.tsx';

/** Two to four knots side by side: the same tie, the same collar, the differences in words. */
export function ComparePage() {
  const [codes] = useState(() => (new URLSearchParams(location.search).get('of') ?? '').split(',').filter(Boolean));
  return (
    <WithKnots lay={{ manner: 'any', also: codes.flatMap((code) => wordOf(code)) }}>
      {(atHand) => <SideBySide {...atHand} codes={codes} />}
    </WithKnots>
  );
}

/** The word of a code, so that knots of any length can stand beside each other. */
function wordOf(code: string): string[] {
  const knot = knotOfCode(code);
  return knot ? [formatKnot(knot)] : [];
}

const rows: readonly MapAxisCode[] = ['size', 'height', 'lean', 'takeUp', 'fill', 'moves', 'chance'];
const most = 4;

function SideBySide({ codes, knots, request, values, units, client, onTake }: KnotsView & { readonly codes: readonly string[] }) {
  const [turn, setTurn] = useState(0);
  const compared = codes.slice(0, most).flatMap((code) => knots.filter((knot) => knot.code === code));
  const [first] = compared;
  if (!first || compared.length < 2) {
    return (
      <p className="py-6 text-xl">
        Lay two to four knots aside in{' '}
        <a className="text-set underline" href="/knots">
          the field
        </a>{' '}
        to compare them here.
      </p>
    );
  }
  return (
    <div className="overflow-x-auto">
      <table className="w-full table-fixed text-left">
        <thead>
          <tr className="align-bottom">
            <th className="w-36 font-normal">
              <span className="sr-only">measure</span>
            </th>
            {compared.map((knot) => (
              <th key={knot.code} scope="col" className="px-2 font-normal">
                <a className="text-2xl font-semibold hover:underline" href={`/knots/${knot.code}`}>
                  {knot.title}
                </a>
                <span className="figures block text-note text-soft">{knot.plan.moves}</span>
                <CollarInCloth
                  {...drawnOn(request, values)}
                  id={`compare-${knot.code.replace('.', '-')}`}
                  plan={knot.plan}
                  className="h-56 w-full"
                />
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          <tr className="align-top">
            <th scope="row" className="py-1 font-normal text-soft">
              tied in cloth; turned together
            </th>
            {compared.map((knot) => (
              <td key={knot.code} className="px-2 pb-2">
                <TurnedTogether knot={knot} request={request} values={values} dimple={dimpleOf(client)} turn={turn} onTurn={setTurn} />
              </td>
            ))}
          </tr>
          {rows.map((code) => {
            const axis: MapAxis = mapAxes[code];
            return (
              <tr key={code} className="border-t border-line">
                <th scope="row" className="py-1 font-normal text-soft">
                  {axis.label}
                </th>
                {compared.map((knot) => (
                  <td key={knot.code} className="figures px-2 text-xl text-follows">
                    {axis.say(axis.of(knot), units)}
                  </td>
                ))}
              </tr>
            );
          })}
          <tr className="border-t border-line align-top">
            <th scope="row" className="py-2 font-normal text-soft">
              against the {first.title}
            </th>
            {compared.map((knot) => (
              <td key={knot.code} className="px-2 py-2">
                {knot === first ? (
                  <span className="text-soft">what the others are held against</span>
                ) : (
                  <ul>
                    {differencesInWords(knot, first, units).map((text) => (
                      <li key={text}>{text}</li>
                    ))}
                  </ul>
                )}
                <button type="button" className="mt-2 min-h-9 cursor-pointer text-set underline" onClick={() => onTake(knot.plan.moves)}>
                  To the bench
                </button>
              </td>
            ))}
          </tr>
        </tbody>
      </table>
    </div>
  );
}
