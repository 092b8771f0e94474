import equal from 'fast-deep-equal';
import { memo, useMemo, useState } from 'react';
import type { Frame, KnotPlan, KnotShape, PlanRequest } from '../../../core/index.ts';
import { mannerCodes, manners } from '../../../core/knot/manners.ts';
import { chanceInWords } from '../../../core/plan/chance.ts';
import { inPercent } from '../../../core/plan/criteria/collarFill.ts';
import { dressing } from '../../../core/plan/habits.ts';
import { type StateCode, setIn } from '../../../core/start/reading.ts';
import { formatFigure, type LengthUnit, roughly, unitLabel } from '../../../core/units/length.ts';
import { asMark, KnotSilhouette } from '../../../drawing/knot/KnotSilhouette.tsx';
import type { KnotPicture } from '../../../drawing/knot/picture.ts';
import { useAsked, useSurroundings } from '../../atHand/useAtHand.ts';
import { useKnotPictures } from '../../seen/useKnotPictures.ts';
import { Button } from '../../ui/Button.tsx';
import { Radio } from '../../ui/Radio.tsx';
import { Switch } from '../../ui/Switch.tsx';
import type { TitleOf } from '../../wire/useKnotTitles.ts';
import { CollarShare } from './CollarShare.tsx';
import { familiesOf, type RankedFamily } from './families.ts';

interface KnotRankingProps {
  readonly titleOf: TitleOf;
  /** Best first. */
  readonly knots: readonly KnotPlan[];
  readonly chosen: KnotPlan;
  readonly units: LengthUnit;
  readonly colour: string;
  readonly onChoose: (moves: string) => void;
}

type Search = PlanRequest['search'];

/** The knots, best match first, each in one line; those that won't work last, saying so. */
export function KnotRanking({ titleOf, knots, chosen, units, colour, onChoose }: KnotRankingProps) {
  const { values, state, frame } = useAsked();
  const { search } = values.question;
  const pictureOf = useKnotPictures(
    colour,
    knots.map(({ code }) => code),
  );
  const families = useMemo(() => familiesOf(knots), [knots]);
  const line = { units, colour, pictureOf, titleOf, frame, state, chosen: chosen.moves, onChoose };
  return (
    <section aria-label="Knots" className="flex min-h-0 grow flex-col">
      <WhichKnots search={search} />
      <p className="flex justify-between gap-2 pr-2 text-note text-soft">
        <span>Share of the collar edge: best 22–33%</span>
        <span>
          {dressing.readsAt[state].label}, {unitLabel(units)}
        </span>
      </p>
      <div role="radiogroup" aria-label="Knots, best match first" className="min-h-0 grow overflow-y-auto">
        {families.map((family, i) => (
          <Family key={family.first.moves} family={family} place={i + 1} {...line} />
        ))}
      </div>
    </section>
  );
}

const amounts = [
  { key: 'named', label: 'named' },
  { key: 'all', label: 'all' },
] as const;

/** Which knots are ranked. */
const WhichKnots = memo(function WhichKnots({ search }: { readonly search: Search }) {
  const { store } = useSurroundings();
  const onSearch = (changed: Partial<Search>) => store.set('question.search', { ...search, ...changed });
  return (
    <div className="flex items-end justify-between border-b border-line pb-1">
      <h2 className="text-lg font-medium">Knots</h2>
      <select
        aria-label="Family of knots"
        className="h-9 border-b-2 border-set/40 bg-transparent text-[0.95rem] text-set"
        value={search.manner}
        onChange={(event) => onSearch({ manner: event.target.value as Search['manner'] })}
      >
        {mannerCodes.map((code) => (
          <option key={code} value={code}>
            {manners[code].label}
          </option>
        ))}
        <option value="any">every family</option>
      </select>
      <Switch label="Which knots" value={search.knots} choices={amounts} onChange={(which) => onSearch({ knots: which })} />
    </div>
  );
});

interface FamilyProps {
  readonly family: RankedFamily;
  readonly place: number;
  readonly units: LengthUnit;
  readonly colour: string;
  readonly pictureOf: (code: string) => KnotPicture | undefined;
  readonly titleOf: TitleOf;
  readonly frame: Frame;
  readonly state: StateCode;
  readonly chosen: string;
  readonly onChoose: (moves: string) => void;
}

/** One name with its best path; the others stand behind it until they are asked for. */
function Family({ family: { first, variants }, place, units, pictureOf, titleOf, state, chosen, ...line }: FamilyProps) {
  const [asked, setAsked] = useState(false);
  const chosenVariant = variants.find(({ moves }) => moves === chosen);
  const shown = asked ? variants : chosenVariant ? [chosenVariant] : [];
  const told = ({ moves, rank, code, shape, collar, feasible, start, tip, ...knot }: KnotPlan): ToldKnot => ({
    moves,
    rank,
    shape: asMark(shape),
    title: titleOf({ moves, ...knot }),
    picture: pictureOf(code),
    percent: inPercent(collar.fill),
    start: feasible ? formatFigure(roughly(setIn(start, state), units), units) : undefined,
    chance: chanceInWords(tip.inBandProbability),
    isChosen: moves === chosen,
  });
  const behind = variants.length > 0 && { others: variants.length, isOpen: asked, onOpen: setAsked };
  return (
    <>
      <KnotLine {...told(first)} {...line} place={place} {...behind} />
      {shown.map((knot) => (
        <KnotLine key={knot.moves} {...told(knot)} {...line} />
      ))}
    </>
  );
}

/** What a line tells of a knot. */
interface ToldKnot {
  readonly moves: string;
  readonly rank: number;
  readonly title: string;
  readonly shape: KnotShape;
  readonly picture: KnotPicture | undefined;
  /** Of the collar's edge that it covers. */
  readonly percent: number;
  /** Nothing where it won’t work. */
  readonly start: string | undefined;
  readonly chance: string;
  readonly isChosen: boolean;
}

interface KnotLineProps extends ToldKnot {
  readonly frame: Frame;
  readonly colour: string;
  readonly onChoose: (moves: string) => void;
  /** Among the names of the list; variants have none of their own. */
  readonly place?: number;
  /** How many other ways of the same name stand behind it. */
  readonly others?: number;
  readonly isOpen?: boolean;
  readonly onOpen?: (isOpen: boolean) => void;
}

/** Drawn anew only where it tells something else: with most millimetres of a measure few lines do. */
const KnotLine = memo(function KnotLine({ moves, rank, title, start, chance, isChosen, onChoose, place, ...line }: KnotLineProps) {
  const { shape, picture, frame, colour, percent, others, isOpen = false, onOpen } = line;
  return (
    <div
      data-knot={moves}
      data-rank={rank}
      className="relative flex items-center border-b border-faint pr-2 contain-content outline-offset-[-3px] hover:bg-white/60 has-checked:bg-white has-focus-visible:outline-3 has-focus-visible:outline-set"
    >
      <label className="grid min-h-12 min-w-0 grow cursor-pointer grid-cols-[1.4rem_2.6rem_minmax(0,1fr)_auto] items-center gap-x-2">
        {/* The best match may be pressed to keep it, whatever is best later. */}
        <Radio name="knot" value={moves} label={title} checked={isChosen} onPick={onChoose} again />
        <span className="figures text-right text-soft">{place}</span>
        <KnotSilhouette word={moves} shape={shape} frame={frame} colour={colour} picture={picture} />
        <span className="min-w-0 leading-tight">
          <span className="block text-lg leading-5 font-medium">{title}</span>
          <CollarShare percent={percent} />
        </span>
        {start === undefined ? (
          <span className="text-note text-outside">won’t work</span>
        ) : (
          <span className="text-right leading-tight">
            <span className="figures block text-xl text-follows">{start}</span>
            <span className="block text-note whitespace-nowrap text-soft">{chance}</span>
          </span>
        )}
      </label>
      {others !== undefined && (
        <div className="absolute right-20 bottom-0">
          <Button look="text" className="min-h-6 text-note" aria-expanded={isOpen} onClick={() => onOpen?.(!isOpen)}>
            {isOpen ? 'hide' : `${others} more`}
            <span className="sr-only"> ways to tie it</span>
          </Button>
        </div>
      )}
    </div>
  );
}, equal);
