import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useMemo, useState } from 'react';
import { answerKeys } from '../../contract/answerKeys.ts';
import { dayIn } from '../../contract/days.ts';
import type { Given } from '../../contract/given.ts';
import { kinds } from '../../contract/records/kinds/index.ts';
import type { TieRecord, TyingRecord, Wardrobe } from '../../contract/records/records.ts';
import { isThere } from '../../core/care/dealings.ts';
import { effectName } from '../../core/fitbook/effects.ts';
import { plausibleShare, seenOnStand, teachesMost } from '../../core/fitbook/stand.ts';
import { parseKnot } from '../../core/index.ts';
import { knotTitle } from '../../core/knot/code.ts';
import { namedWords } from '../../core/knot/names.ts';
import { formatLength } from '../../core/units/length.ts';
import { unitChoices, useUnits } from '../device/preferences.tsx';
import { Button, Link } from '../ui/Button.tsx';
import { Loading } from '../ui/Loading.tsx';
import { OutageNotice } from '../ui/OutageNotice.tsx';
import { PlainLength } from '../ui/PlainLength.tsx';
import { Switch } from '../ui/Switch.tsx';
import { keepRecord, wardrobeQuery } from '../wire/queries.ts';
import { useKnotTitle } from '../wire/useKnotTitles.ts';
import { WithGiven } from '../wire/WithGiven.tsx';
import { BookHead } from './BookHead.tsx';

/** One minute at a stand: one tie, one knot, three lengths; and what every other start then knows. */
export function StandPage({ given }: { readonly given: Given }) {
  return (
    <WithGiven given={given}>
      <BookHead here="/fittings/stand" />
      <AtStand />
    </WithGiven>
  );
}

/** Knots that take their cloth up as they are tied; and of these what most clients wear most days. */
const tiedByBlade = namedWords.filter(({ described }) => !described);
const everyday = tiedByBlade.filter((each) => each.everyday).map(({ word }) => word);

function AtStand() {
  const { data, isError, error, failureCount } = useQuery(wardrobeQuery());
  if (isError) return <p className="py-6 text-xl">{error.message}</p>;
  if (!data) return failureCount > 0 ? <OutageNotice what="This page loads as soon as they are back." /> : <Loading />;
  if (data.ties.length === 0) {
    return (
      <p className="py-6 text-xl">
        The wardrobe has no tie yet. <Link href="/ties/new">Add a tie with its length</Link>, then tie it here once.
      </p>
    );
  }
  return <Minute wardrobe={data} />;
}

function Minute({ wardrobe }: { readonly wardrobe: Wardrobe }) {
  const { ties, studio, learnt } = wardrobe;
  const [units, setUnits] = useUnits(studio.units);
  const titleOf = useKnotTitle();
  const stylist = studio.person?.id ?? '';
  const proposal = useMemo(() => {
    const worn = ties
      .filter((tie) => isThere(tie) && !tie.draft)
      .map(({ id }) => ({ id, wearings: learnt.counts[effectName('tie', id)] ?? 0 }));
    return teachesMost(learnt.known, stylist, worn, everyday);
  }, [ties, learnt, stylist]);
  const [tieId, setTieId] = useState(proposal?.tie ?? ties[0]?.id ?? '');
  const [knot, setKnot] = useState(proposal?.knot ?? everyday[0] ?? '');
  const [loopMm, setLoop] = useState<number>();
  const [tipMm, setTip] = useState<number>();
  const [tailMm, setTail] = useState<number>();
  const tie = ties.find(({ id }) => id === tieId);
  const queries = useQueryClient();
  const mutation = useMutation({
    mutationFn: (record: TyingRecord) => keepRecord('tyings', record, units),
    onSuccess: async () => {
      setTip(undefined);
      setTail(undefined);
      await Promise.all([
        queries.invalidateQueries({ queryKey: answerKeys.wardrobes() }),
        queries.invalidateQueries({ queryKey: answerKeys.fitBook() }),
      ]);
    },
  });
  const proposed = ties.find(({ id }) => id === proposal?.tie);
  const isReady = tie && loopMm !== undefined && tipMm !== undefined && tailMm !== undefined;
  const seen = isReady ? seenOnStand(knot, tie, { loopMm, tipMm, tailMm }) : undefined;
  const share = seen ? seen.takenUpMm / seen.takeUpMm : 1;
  const isPlausible = share >= plausibleShare.from && share <= plausibleShare.to;
  const select = 'h-10 border-b-2 border-set/40 bg-transparent text-xl text-set';
  const keep = () => {
    if (!tie || !seen || tailMm === undefined) return;
    mutation.mutate({
      ...kinds.tyings.fresh,
      id: crypto.randomUUID(),
      version: 0,
      archived: false,
      label: `${knotTitle(parseKnot(knot))}, ${tie.label}, on a stand`.slice(0, 120),
      source: 'stand',
      tieId: tie.id,
      knot,
      personId: studio.person?.id ?? null,
      neck: 'stand',
      doneOn: dayIn(studio.timeZone),
      tailEndMm: tailMm,
      figures: { takeUpMm: seen.takeUpMm, errorMm: seen.errorMm, tailMm },
    });
  };
  return (
    <form
      className="max-w-3xl space-y-4"
      onSubmit={(event) => {
        event.preventDefault();
        if (isPlausible) keep();
      }}
    >
      <div className="flex flex-wrap items-baseline justify-between gap-4">
        <p className="max-w-xl text-lg leading-snug">
          Around a stand, a rolled towel, any neck: tie it snug, then read three lengths. What this tie and this knot take up is then known
          for every client.
        </p>
        <Switch label="Units" value={units} choices={unitChoices} onChange={setUnits} />
      </div>
      {proposal && proposed && (
        <p className="text-lg">
          Teaches most now: <b className="font-medium">{titleOf({ moves: proposal.knot, title: knotTitle(parseKnot(proposal.knot)) })}</b>{' '}
          in <b className="font-medium">{proposed.label}</b>
          {(tieId !== proposal.tie || knot !== proposal.knot) && (
            <Button
              look="text"
              className="ml-3"
              onClick={() => {
                setTieId(proposal.tie);
                setKnot(proposal.knot);
              }}
            >
              Take these
            </Button>
          )}
          .
        </p>
      )}
      <p className="flex flex-wrap items-baseline gap-x-6 gap-y-2 text-lg">
        <label className="flex items-baseline gap-2">
          Tie
          <select className={select} value={tieId} onChange={(event) => setTieId(event.target.value)}>
            {ties.map((each: TieRecord) => (
              <option key={each.id} value={each.id}>
                {each.label} ({formatLength(each.lengthMm, units)})
              </option>
            ))}
          </select>
        </label>
        <label className="flex items-baseline gap-2">
          Knot
          <select className={select} value={knot} onChange={(event) => setKnot(event.target.value)}>
            {tiedByBlade.map(({ word: moves }) => (
              <option key={moves} value={moves}>
                {titleOf({ moves, title: knotTitle(parseKnot(moves)) })}
              </option>
            ))}
          </select>
        </label>
      </p>
      <div className="flex flex-wrap gap-x-8 gap-y-2 text-lg">
        <PlainLength
          label="Around, under the tie band"
          mm={loopMm}
          expectedMm={420}
          minMm={150}
          maxMm={700}
          units={units}
          onChange={setLoop}
        />
        <PlainLength label="Throat down to the blade tip" mm={tipMm} minMm={30} maxMm={1400} units={units} onChange={setTip} />
        <PlainLength label="Throat down to the tail tip" mm={tailMm} minMm={10} maxMm={1400} units={units} onChange={setTail} />
      </div>
      <p aria-live="polite" className="text-xl">
        {seen &&
          (isPlausible ? (
            <>
              It took up <b className="font-medium text-follows">{formatLength(seen.takenUpMm, units)}</b>,{' '}
              {Math.abs(share - 1) < 0.005
                ? 'just what its measures say'
                : `${Math.round(100 * Math.abs(share - 1))}% ${share > 1 ? 'more' : 'less'} than its measures say`}
              .
            </>
          ) : (
            <span className="text-outside">
              That would be {formatLength(seen.takenUpMm, units)} taken up, where {formatLength(seen.takeUpMm, units)} is usual: read the
              three lengths again, and the tie’s own length.
            </span>
          ))}
      </p>
      <p className="flex flex-wrap items-center gap-x-4">
        <Button type="submit" disabled={!seen || !isPlausible || mutation.isPending}>
          Keep what it took up
        </Button>
        <span role="status">
          {mutation.isPending ? (
            mutation.failureCount > 0 ? (
              <span className="text-outside">
                Not kept: the studio’s records can’t be reached. Still trying; nothing you entered is lost.
              </span>
            ) : (
              'Keeping…'
            )
          ) : mutation.isError ? (
            <span className="text-outside">Not kept. {mutation.error.message}</span>
          ) : mutation.isSuccess ? (
            <>
              Kept. <Link href={`/tyings/${mutation.data.id}`}>Look at it</Link> <Link href="/fittings/learnt">What was learnt</Link>
            </>
          ) : (
            !seen && <span className="text-soft">Enter the three lengths.</span>
          )}
        </span>
      </p>
    </form>
  );
}
