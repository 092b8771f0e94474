import { useState } from 'react';
import { frontDropOf } from '../../../core/body/frontDrop.ts';
import { leans, type VerdictCode, verdicts } from '../../../core/fitbook/findings.ts';
import { untaught as asUntaught } from '../../../core/fitbook/here.ts';
import { isWithin } from '../../../core/fitbook/tying.ts';
import { measures } from '../../../core/measures/measures.ts';
import { correctionAfter, mostAttempts } from '../../../core/start/attempts.ts';
import { tipIn } from '../../../core/start/reading.ts';
import { formatLength, roughly } from '../../../core/units/length.ts';
import { unchecked } from '../../atHand/checkEntries.ts';
import { tieNamed } from '../../atHand/lessons.ts';
import { useAsked } from '../../atHand/useAtHand.ts';
import { Button, Link } from '../../ui/Button.tsx';
import { PlainLength } from '../../ui/PlainLength.tsx';
import { useKnotTitle } from '../../wire/useKnotTitles.ts';
import { type DrawnFitting, FrontDrawn } from '../FittingDrawn.tsx';
import { NoteField } from '../NoteField.tsx';
import { SeenField } from '../set/SeenField.tsx';
import { againstBelt, lowerOrHigher } from '../set/startInWords.ts';
import { useNeckTiedOn, usualStandNeckMm } from '../set/TiedOn.tsx';
import { TipHandle } from '../set/TipHandle.tsx';
import type { StageCode } from '../stages.ts';
import type { Saving } from '../useSaving.ts';
import { Looks } from './Looks.tsx';
import { Remedies } from './Remedies.tsx';
import { attemptSeen, foundByMeasure, isQuestionable, setAt, type Tied } from './tyingFrom.ts';
import { type Checking, useChecking } from './useChecking.ts';

interface CheckStageProps {
  readonly drawn: DrawnFitting;
  readonly saving: Saving;
  readonly hindrance: string | undefined;
  readonly onGo: (stage: StageCode) => void;
}

/** The knot’s size, as a calliper takes it. */
const sizes = [
  ['topMm', 'Top of the knot across'],
  ['bottomMm', 'Its bottom across'],
  ['heightMm', 'Its height'],
  ['depthMm', 'Its depth'],
] as const;

/** A step back from the tied client: where the tip ended, one look after the other, what helps, and all of it on record. */
export function CheckStage({ drawn, saving, hindrance, onGo }: CheckStageProps) {
  const { store, values, units, stale, state } = useAsked();
  const { plan, request } = drawn;
  const titleOf = useKnotTitle();
  const read = useNeckTiedOn(drawn, usualStandNeckMm);
  const tied: Tied = { plan, request, read, state, units };
  const { check } = values;
  const put = (changes: Partial<typeof check>) => store.set('check', { ...check, ...changes });
  const checking = useChecking(tied, titleOf(plan), saving, hindrance);
  const { tipOffMm } = check;
  const beltMm = frontDropOf(request.client).meanMm;
  const shownMm = tipOffMm ?? request.aim.offsetMm;
  const { end } = plan.start.set;
  const found = [...new Set([...check.findings, ...foundByMeasure(tied, check)])];
  return (
    <main className={`grid min-h-0 grow gap-x-8 px-5 pt-2 md:grid-cols-[minmax(0,2fr)_minmax(0,3fr)] ${stale ? 'opacity-50' : ''}`}>
      <section aria-label="Front" className="flex min-h-0 flex-col">
        <p className="flex min-h-9 items-center border-b border-line text-soft">Drag the tip to where it is seen</p>
        <FrontDrawn
          drawn={{
            ...drawn,
            plan: {
              ...plan,
              tip: { ...plan.tip, dropMm: beltMm + shownMm },
              tail: { ...plan.tail, dropMm: check.tailEndMm ?? plan.tail.dropMm },
            },
          }}
          className="h-[26rem] lg:min-h-60"
        >
          <TipHandle label="Blade tip" x={0} beltMm={beltMm} offMm={shownMm} units={units} onChange={(offMm) => put({ tipOffMm: offMm })} />
        </FrontDrawn>
      </section>
      <div className="flex min-h-0 flex-col">
        <div className="min-h-0 grow space-y-1 overflow-y-auto pb-2">
          <section aria-label="Tip">
            <SeenField
              label="The blade tip ended"
              mm={tipOffMm ?? undefined}
              expectedMm={request.aim.offsetMm}
              units={units}
              onChange={(mm) => put({ tipOffMm: mm ?? null })}
            />
            <p className="flex flex-wrap items-center gap-x-4" aria-live="polite">
              <Button look="other" onClick={() => put({ tipOffMm: request.aim.offsetMm })}>
                Exactly as aimed
              </Button>
              <span>{tipOffMm === null ? 'Not seen yet.' : <TipJudged drawn={drawn} offMm={tipOffMm} />}</span>
            </p>
          </section>
          {tipOffMm !== null && isOutside(tipOffMm, request.aim) && (
            <NextStart tied={tied} kept={checking.kept} tipOffMm={tipOffMm} onGo={onGo} />
          )}
          <Looks />
          <Remedies found={found} onGo={onGo} />
          <details className="border-t border-line pt-1">
            <summary className="min-h-8 cursor-pointer text-set">
              More on record: where it was set, the knot’s size, minutes, verdicts
            </summary>
            <div className="flex flex-wrap items-center gap-x-6 gap-y-1 text-lg">
              <PlainLength
                label={`The ${end} tip was set at`}
                mm={check.setMm ?? undefined}
                expectedMm={setAt(tied, { setMm: null })}
                {...range('setMm')}
                units={units}
                onChange={(mm) => put({ setMm: mm ?? null })}
              />
              <PlainLength
                label="Tail tip ended"
                mm={check.tailEndMm ?? undefined}
                {...range('tailEndMm')}
                units={units}
                onChange={(mm) => put({ tailEndMm: mm ?? null })}
              />
              {sizes.map(([name, label]) => (
                <PlainLength
                  key={name}
                  label={label}
                  mm={check[name] ?? undefined}
                  expectedMm={plan.shape[name]}
                  {...range(name)}
                  units={units}
                  onChange={(mm) => put({ [name]: mm ?? null })}
                />
              ))}
              <OneOf label="The knot stands" value={check.lean} choices={leans} onChange={(lean) => put({ lean })} />
              <Minutes value={check.minutes} onChange={(minutes) => put({ minutes })} />
              <OneOf<VerdictCode>
                label="The client says"
                value={check.clientVerdict}
                choices={verdicts}
                onChange={(clientVerdict) => put({ clientVerdict })}
              />
              <OneOf<VerdictCode>
                label="The stylist says"
                value={check.stylistVerdict}
                choices={verdicts}
                onChange={(stylistVerdict) => put({ stylistVerdict })}
              />
            </div>
            <div className="max-w-xl">
              <NoteField />
            </div>
          </details>
        </div>
        <KeepCheck checking={checking} tipOffMm={tipOffMm} request={request} hindrance={hindrance} tied={tied} onGo={onGo} />
      </div>
    </main>
  );
}

function range(key: keyof typeof measures.tying) {
  const { minMm, maxMm } = measures.tying[key];
  return { minMm, maxMm };
}

function isOutside(tipOffMm: number, aim: DrawnFitting['request']['aim']): boolean {
  return !isWithin(tipOffMm - aim.offsetMm, aim);
}

function TipJudged({ drawn, offMm }: { readonly drawn: DrawnFitting; readonly offMm: number }) {
  const { request } = drawn;
  const off = offMm - request.aim.offsetMm;
  const where = againstBelt(offMm, request.units);
  if (!isOutside(offMm, request.aim)) return <span className="text-follows">{where}: within tolerance.</span>;
  return (
    <span className="text-outside">
      {where}: {formatLength(Math.abs(off), request.units)} too {off > 0 ? 'low' : 'high'}.
    </span>
  );
}

interface NextStartProps {
  readonly tied: Tied;
  readonly kept: Checking['kept'];
  readonly tipOffMm: number;
  readonly onGo: (stage: StageCode) => void;
}

/** The tip is not where it should be: the next start, and the way to it in one tap. */
function NextStart({ tied, kept, tipOffMm, onGo }: NextStartProps) {
  const { store, values, untaught, book, lessons, units, state, asSaved, startAnew } = useAsked();
  const seen = attemptSeen(tied, values.check, tipOffMm, tieNamed(values));
  // Once it is on record, the book has learnt from it.
  const isInBook = kept?.tipOffMm === tipOffMm && kept.counts && asSaved !== undefined && book.fittings.includes(asSaved.id);
  const { next, byMm } = correctionAfter(seen, isInBook ? lessons : [...lessons, seen], asUntaught(untaught.request), book);
  const { end } = next.start.set;
  const again = () => {
    store.change((now) => ({
      ...now,
      knot: seen.moves,
      attempts: isInBook ? now.attempts : [...now.attempts, seen].slice(-mostAttempts),
      check: unchecked,
    }));
    if (asSaved) startAnew();
    onGo('set');
  };
  return (
    <p className="flex flex-wrap items-center gap-x-4 border-y-2 border-ink py-1 text-xl leading-tight">
      <span>
        {isInBook ? 'Next time set' : 'Set'} the {end} tip at{' '}
        <b className="font-medium text-follows" data-testid="next-start">
          {formatLength(roughly(tipIn(next.start.readings, state, end), units), units)}
        </b>
        , {lowerOrHigher(roughly(byMm, units), units)}.
      </span>
      <Button look="other" onClick={again}>
        {isInBook ? 'Tie again' : 'Keep this attempt and tie again'}
      </Button>
    </p>
  );
}

interface OneOfProps<T extends string> {
  readonly label: string;
  readonly value: T | null;
  readonly choices: Readonly<Record<T, { readonly label: string }>>;
  readonly onChange: (value: T | null) => void;
}

function OneOf<T extends string>({ label, value, choices, onChange }: OneOfProps<T>) {
  return (
    <label className="flex items-baseline gap-x-2">
      {label}
      <select
        className="h-9 border-b-2 border-set/40 bg-transparent text-set"
        value={value ?? ''}
        onChange={(event) => onChange(event.target.value === '' ? null : (event.target.value as T))}
      >
        <option value="">not said</option>
        {(Object.keys(choices) as T[]).map((code) => (
          <option key={code} value={code}>
            {choices[code].label}
          </option>
        ))}
      </select>
    </label>
  );
}

const mostMinutes = 240;

function Minutes({ value, onChange }: { readonly value: number | null; readonly onChange: (value: number | null) => void }) {
  return (
    <label className="flex items-baseline gap-x-2">
      Minutes
      <input
        type="number"
        min={0}
        max={mostMinutes}
        className="figures h-9 w-20 border-b-2 border-set/40 bg-transparent px-1 text-right text-xl text-set"
        value={value ?? ''}
        onChange={(event) => {
          const minutes = Math.round(Number(event.target.value));
          onChange(event.target.value === '' || !(minutes >= 0 && minutes <= mostMinutes) ? null : minutes);
        }}
      />
    </label>
  );
}

interface KeepCheckProps {
  readonly checking: ReturnType<typeof useChecking>;
  readonly tipOffMm: number | null;
  readonly request: DrawnFitting['request'];
  readonly hindrance: string | undefined;
  readonly tied: Tied;
  readonly onGo: (stage: StageCode) => void;
}

/** On record with one press; a tip entered far off is asked about once. */
function KeepCheck({ checking, tipOffMm, request, hindrance, tied, onGo }: KeepCheckProps) {
  const [asked, setAsked] = useState<number>();
  const { asSaved } = useAsked();
  const { kept, busy, waiting, refused, keep } = checking;
  const stopped = asSaved ? undefined : hindrance;
  const press = () => {
    if (tipOffMm === null) return;
    if (isQuestionable(tipOffMm, request) && asked !== tipOffMm) setAsked(tipOffMm);
    else keep(tipOffMm);
  };
  const isAsked = tipOffMm !== null && asked === tipOffMm && !kept;
  return (
    <section aria-label="On record" className="shrink-0 space-y-1 border-t-2 border-ink py-2">
      {isAsked && (
        <p role="alert" className="text-outside">
          {againstBelt(tipOffMm, request.units)} is further off than any knot comes out. Correct it, or keep it as it is: it will be told
          apart and hardly counts for what is learnt.
        </p>
      )}
      <p className="flex flex-wrap items-center gap-x-4">
        <Button className="text-lg" disabled={tipOffMm === null || busy || stopped !== undefined} onClick={press}>
          {isAsked ? 'Keep it all the same' : kept ? 'Keep the change' : 'Keep this check'}
        </Button>
        <span role="status">
          {waiting ? (
            <span className="text-outside">
              Not kept: the studio’s records can’t be reached. Still trying; nothing you entered is lost.
            </span>
          ) : busy ? (
            'Keeping…'
          ) : refused ? (
            <span className="text-outside">Not kept. {refused}</span>
          ) : stopped ? (
            <span className="text-soft">{stopped}</span>
          ) : kept ? (
            <Kept kept={kept} tied={tied} onGo={onGo} />
          ) : tipOffMm === null ? (
            <span className="text-soft">Enter where the tip ended, or drag it on the drawing.</span>
          ) : null}
        </span>
      </p>
    </section>
  );
}

interface KeptProps {
  readonly kept: NonNullable<Checking['kept']>;
  readonly tied: Tied;
  readonly onGo: (stage: StageCode) => void;
}

function Kept({ kept, tied, onGo }: KeptProps) {
  const { store, startAnew } = useAsked();
  const another = () => {
    store.set('check', unchecked);
    startAnew();
    onGo('set');
  };
  return (
    <>
      Kept: {kept.tipOffMm === null ? 'the tip not seen' : againstBelt(kept.tipOffMm, tied.units)}
      {kept.findings.length > 0 && `, ${kept.findings.length} ${kept.findings.length === 1 ? 'finding' : 'findings'}`}.{' '}
      <Link href={`/tyings/${kept.id}`}>Correct it</Link> <Link href="/fittings">Fit book</Link>{' '}
      <Button look="text" onClick={another}>
        Another fitting
      </Button>
    </>
  );
}
