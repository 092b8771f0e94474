import { useMemo, useState } from 'react';
import type { Given } from '../../contract/given.ts';
import { formatKnot } from '../../core/index.ts';
import { knotOfCode } from '../../core/knot/code.ts';
import { differencesInWords } from '../../core/knotMap/compare.ts';
import { type MapAxis, type MapAxisCode, type MappedKnot, mapAxes } from '../../core/knotMap/mappedKnots.ts';
import { useAsked } from '../atHand/useAtHand.ts';
import { CollarInCloth } from '../seen/CollarInCloth.tsx';
import { TurnedTogether } from '../seen/TurnedTogether.tsx';
import { dimpleOf } from '../seen/useShownCloth.ts';
import { Button, Link } from '../ui/Button.tsx';
import { Moves, MovesKey } from '../ui/Moves.tsx';
import { capital } from '../ui/words.ts';
import { KnotsAtHand, useColoursAtHand, useInFitting } from './KnotsAtHand.tsx';
import type { Laying } from './useKnots.ts';

interface ComparePageProps {
  readonly given: Given;
  /** Codes of the knots, as the address has them. */
  readonly codes: readonly string[];
}

/** Two to four knots side by side: the same tie, the same collar, the differences in words. */
export function ComparePage({ given, codes }: ComparePageProps) {
  const lay = useMemo((): Laying => ({ manner: 'any', also: codes.flatMap(movesOf) }), [codes]);
  return (
    <KnotsAtHand given={given} lay={lay}>
      {(knots) => <SideBySide knots={knots} codes={codes} />}
    </KnotsAtHand>
  );
}

/** The moves of a code, so that knots of any length can stand beside each other. */
function movesOf(code: string): string[] {
  const knot = knotOfCode(code);
  return knot ? [formatKnot(knot)] : [];
}

const rows: readonly MapAxisCode[] = ['size', 'height', 'lean', 'takeUp', 'fill', 'moves', 'chance'];
const most = 4;

function SideBySide({ codes, knots }: { readonly codes: readonly string[]; readonly knots: readonly MappedKnot[] }) {
  const { request, client, frame, units } = useAsked();
  const colours = useColoursAtHand();
  const use = useInFitting();
  const [turn, setTurn] = useState(0);
  const compared = codes.slice(0, most).flatMap((code) => knots.filter((knot) => knot.code === code));
  const [first] = compared;
  if (!first || compared.length < 2) {
    return (
      <p className="py-6 text-xl">
        Choose two to four knots under <Link href="/knots">Knots</Link> to compare them here.
      </p>
    );
  }
  return (
    <div className="overflow-x-auto">
      <MovesKey frame={frame} />
      <table className="w-full table-fixed text-left">
        <thead>
          <tr className="align-bottom">
            <th className="w-36 font-normal">
              <span className="sr-only">Measure</span>
            </th>
            {compared.map((knot) => (
              <th key={knot.code} scope="col" className="px-2 font-normal">
                <a className="text-2xl font-semibold hover:underline" href={`/knots/${knot.code}`}>
                  {knot.title}
                </a>
                <Moves of={knot.plan.moves} frame={frame} className="block text-note text-soft" />
                <CollarInCloth
                  request={request}
                  view={frame.view}
                  {...colours}
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
              Tied in cloth; all turn together
            </th>
            {compared.map((knot) => (
              <td key={knot.code} className="px-2 pb-2">
                <TurnedTogether shown={{ knot, request, colours }} dimple={dimpleOf(client)} turn={turn} onTurn={setTurn} />
              </td>
            ))}
          </tr>
          {rows.map((code) => {
            const axis: MapAxis = mapAxes[code];
            return (
              <tr key={code} className="border-t border-line">
                <th scope="row" className="py-1 font-normal text-soft">
                  {capital(axis.label)}
                </th>
                {compared.map((knot) => (
                  <td key={knot.code} className="figures px-2 text-xl text-follows">
                    {code === 'chance' && !knot.plan.feasible ? '—' : axis.say(axis.of(knot), units)}
                  </td>
                ))}
              </tr>
            );
          })}
          <tr className="border-t border-line align-top">
            <th scope="row" className="py-2 font-normal text-soft">
              Compared with {first.title}
            </th>
            {compared.map((knot) => (
              <td key={knot.code} className="px-2 py-2">
                {knot === first ? (
                  <span className="text-soft">The others are compared with this one.</span>
                ) : (
                  <ul>
                    {differencesInWords(knot, first, units).map((text) => (
                      <li key={text}>{text}</li>
                    ))}
                  </ul>
                )}
                <Button look="text" className="mt-2" onClick={() => use(knot.plan.moves)}>
                  Use in fitting
                </Button>
              </td>
            ))}
          </tr>
        </tbody>
      </table>
    </div>
  );
}
