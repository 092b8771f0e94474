import { useQuery } from '@tanstack/react-query';
import { lazy, Suspense } from 'react';
import { sayMonth } from '../../contract/days.ts';
import type { ToldBook } from '../../contract/fitBook.ts';
import type { Given } from '../../contract/given.ts';
import type { EffectCode } from '../../core/fitbook/effects.ts';
import type { Group } from '../../core/fitbook/overview.ts';
import type { LearntEffect } from '../../core/fitbook/posterior.ts';
import { parseKnot } from '../../core/index.ts';
import { knotTitle } from '../../core/knot/code.ts';
import { formatLength, type LengthUnit } from '../../core/units/length.ts';
import { unitChoices, useUnits } from '../device/preferences.tsx';
import { Link } from '../ui/Button.tsx';
import { Loading } from '../ui/Loading.tsx';
import { OutageNotice } from '../ui/OutageNotice.tsx';
import { Switch } from '../ui/Switch.tsx';
import { useAlive } from '../ui/useAlive.ts';
import { fitBookQuery, studioQuery } from '../wire/queries.ts';
import { useKnotTitle } from '../wire/useKnotTitles.ts';
import { WithGiven } from '../wire/WithGiven.tsx';
import { BookHead } from './BookHead.tsx';

const FirstTryChart = lazy(() => import('./FirstTryChart.tsx').then((each) => ({ default: each.FirstTryChart })));

/** What all tyings together taught: whether first tries got better, what behaves oddly, whether the bands tell the truth. */
export function LearntPage({ given }: { readonly given: Given }) {
  return (
    <WithGiven given={given}>
      <BookHead here="/fittings/learnt" />
      <Learnt />
    </WithGiven>
  );
}

function Learnt() {
  const { data, isError, error, failureCount } = useQuery(fitBookQuery);
  const studio = useQuery(studioQuery).data;
  const [units, setUnits] = useUnits(studio?.units ?? 'cm');
  const alive = useAlive();
  if (isError) return <p className="py-6 text-xl">{error.message}</p>;
  if (!data) return failureCount > 0 ? <OutageNotice what="The book loads as soon as they are back." /> : <Loading />;
  if (data.records === 0) {
    return (
      <p className="max-w-2xl py-6 text-xl">
        Nothing was learnt yet. Say in the last stage of a fitting how it came out, or{' '}
        <Link href="/fittings/stand">tie one tie on a stand</Link>: one minute teaches most.
      </p>
    );
  }
  const { months, bands, groups } = data;
  const tyings = months.reduce((sum, month) => sum + month.tyings, 0);
  const within = months.reduce((sum, month) => sum + month.within, 0);
  return (
    <>
      <div className="flex flex-wrap items-baseline justify-between gap-x-8">
        <p className="text-2xl leading-tight">
          {tyings === 0 ? (
            `${data.records} ${data.records === 1 ? 'tying' : 'tyings'} on record, none of them a checked fitting.`
          ) : (
            <>
              First try within tolerance:{' '}
              <b className="font-medium text-follows">
                {within} of {tyings}
              </b>
              .
            </>
          )}
        </p>
        <Switch label="Units" value={units} choices={unitChoices} onChange={setUnits} />
      </div>
      {bands.told > 0 && (
        <p className="pb-2 text-soft">
          Of the bands that 9 tips in 10 should end in, {bands.held} of {bands.told} held
          {bands.told < 20 ? ': too few yet to judge them.' : bands.held / bands.told >= 0.85 ? '.' : ': they are told too narrow.'}
        </p>
      )}
      <div className="grid gap-x-10 gap-y-6 pt-2 lg:grid-cols-2">
        {months.length > 0 && (
          <section aria-label="First tries over time">
            <h2 className="border-b-2 border-ink text-xl font-medium">First tries over time</h2>
            <div className="h-48">
              {alive && (
                <Suspense fallback={<Loading />}>
                  <FirstTryChart months={months} />
                </Suspense>
              )}
            </div>
            <table className="w-full text-note">
              <TallyHead of="Month" />
              <tbody>
                {months.map((month) => (
                  <tr key={month.month} className="border-t border-faint">
                    <td>{sayMonth(month.month)}</td>
                    <td className="figures text-right">{month.tyings}</td>
                    <td className="figures text-right">{month.within}</td>
                    <td className="figures text-right">{formatLength(month.offMm, units)}</td>
                  </tr>
                ))}
              </tbody>
            </table>
          </section>
        )}
        <Effects book={data} units={units} />
        <Groups title="By tie" groups={groups.tie} names={data.names} units={units} href={(id) => `/ties/${id}`} />
        <Groups title="By client" groups={groups.client} names={data.names} units={units} href={(id) => `/clients/${id}`} />
        <Groups title="By knot" groups={groups.knot} names={knotNames(groups.knot)} units={units} />
        <Groups title="By whoever dressed" groups={groups.person} names={data.names} units={units} href={(id) => `/people/${id}`} />
      </div>
      {data.blunders.length > 0 && (
        <section aria-label="Set aside" className="pt-6">
          <h2 className="border-b-2 border-ink text-xl font-medium">Hardly counted</h2>
          <p className="py-1 text-soft">Further off than anything else about them explains. Correct what was mistyped.</p>
          <ul>
            {data.blunders.map(({ id, missedMm }) => (
              <li key={id}>
                <Link href={`/tyings/${id}`}>A tying</Link> {formatLength(Math.abs(missedMm), units)} {missedMm > 0 ? 'lower' : 'higher'}{' '}
                than it should have ended.
              </li>
            ))}
          </ul>
        </section>
      )}
    </>
  );
}

function knotNames(groups: readonly Group[]): Readonly<Record<string, string>> {
  return Object.fromEntries(groups.map(({ id }) => [id, knotTitle(parseKnot(id))]));
}

/** In what order effects are told, and what each means. */
const told: readonly (readonly [code: EffectCode, heading: string, measured: string])[] = [
  ['tie', 'Ties that behave oddly', 'than its measures say'],
  ['knot', 'Knots the formulas misjudge everywhere', 'than the formula says'],
  ['client', 'Clients whose drop lies elsewhere', 'than it was measured or estimated'],
  ['hand', 'Hands with a way of their own', 'than others’ tips'],
  ['stylist', 'Hands that draw up otherwise', 'than others take up'],
];

function Effects({ book, units }: { readonly book: ToldBook; readonly units: LengthUnit }) {
  const titleOf = useKnotTitle();
  const nameOf = (code: EffectCode, id: string) => {
    if (code === 'knot') return titleOf({ moves: id, title: knotTitle(parseKnot(id)) });
    const own = id.replace(/^client:/, '').replace(/\/.*$/, '');
    return (
      book.names[own] ?? (own === '' ? 'whoever was not named' : own.startsWith('of:') ? 'a tie not in the wardrobe' : 'one no longer here')
    );
  };
  const sections = told.filter(([code]) => (book.surest[code]?.length ?? 0) > 0);
  return (
    <section aria-label="What was learnt">
      <h2 className="border-b-2 border-ink text-xl font-medium">What was learnt</h2>
      {sections.length === 0 && (
        <p className="py-2 text-soft">
          Nothing stands out surely yet from {book.records === 1 ? 'one tying' : `${book.records} tyings`}; each already narrows the bands.
        </p>
      )}
      {sections.map(([code, heading, than]) => (
        <div key={code} className="pt-2">
          <h3 className="text-soft">{heading}</h3>
          <ul>
            {(book.surest[code] ?? []).map((effect) => (
              <li key={effect.name} className="border-b border-faint py-0.5 leading-snug">
                <b className="font-medium">{nameOf(code, effect.name.slice(code.length + 1))}</b>: {amount(code, effect, units)} {than}{' '}
                <span className="text-note text-soft">
                  ({effect.records} {effect.records === 1 ? 'tying' : 'tyings'})
                </span>
                {code === 'client' && effect.name.endsWith('/measured') && <span className="text-outside"> Re-measure.</span>}
              </li>
            ))}
          </ul>
        </div>
      ))}
    </section>
  );
}

function amount(code: EffectCode, { mean, sd }: LearntEffect, units: LengthUnit): string {
  if (code === 'client' || code === 'hand')
    return `${formatLength(Math.abs(mean), units)} (±${formatLength(sd, units)}) ${mean > 0 ? 'lower' : 'higher'}`;
  const percent = (share: number) => `${Math.round(100 * Math.abs(share))}%`;
  return `takes up ${percent(mean)} (±${percent(sd)}) ${mean > 0 ? 'more' : 'less'}`;
}

interface GroupsProps {
  readonly title: string;
  readonly groups: readonly Group[];
  readonly names: Readonly<Record<string, string>>;
  readonly units: LengthUnit;
  readonly href?: (id: string) => string;
}

function Groups({ title, groups, names, units, href }: GroupsProps) {
  if (groups.length === 0) return null;
  return (
    <section aria-label={title}>
      <h2 className="border-b-2 border-ink text-xl font-medium">{title}</h2>
      <table className="w-full">
        <TallyHead of="Name" />
        <tbody>
          {groups.map(({ id, tyings, within, offMm }) => (
            <tr key={id} className="border-t border-faint">
              <th scope="row" className="text-left font-normal">
                {href && names[id] ? <Link href={href(id)}>{names[id]}</Link> : (names[id] ?? 'no longer here')}
              </th>
              <td className="figures text-right">{tyings}</td>
              <td className="figures text-right">{within}</td>
              <td className="figures text-right">{formatLength(offMm, units)}</td>
            </tr>
          ))}
        </tbody>
      </table>
    </section>
  );
}

/** What is counted of each month, tie, client, knot and person. */
function TallyHead({ of }: { readonly of: string }) {
  return (
    <thead className="text-note text-soft">
      <tr>
        <th className="text-left font-normal">{of}</th>
        <th className="text-right font-normal">Tyings</th>
        <th className="text-right font-normal">First try within</th>
        <th className="text-right font-normal">Usual miss</th>
      </tr>
    </thead>
  );
}
