import { useMemo, useState } from 'react';
import type { Frame, KnotPlan, PlanRequest } from '../../../core/index.ts';
import { mannerCodes, manners } from '../../../core/knot/manners.ts';
import { formatFigure, type LengthUnit, roughly, unitLabel } from '../../../core/units/length.ts';
import { KnotSilhouette } from '../../../drawing/knot/KnotSilhouette.tsx';
import type { KnotPicture } from '../../../drawing/knot/picture.ts';
import { useKnotPictures } from '../../seen/useKnotPictures.ts';
import { Button } from '../../ui/Button.tsx';
import { Moves, MovesKey } from '../../ui/Moves.tsx';
import { ReasonList, VerdictMark } from '../../ui/ReasonList.tsx';
import { Switch } from '../../ui/Switch.tsx';
import { useKnotTitle } from '../../wire/useKnotTitles.ts';
import { familiesOf, type RankedFamily } from './families.ts';

type Search = PlanRequest['search'];

interface KnotRankingProps {
  /** Best first. */
  readonly knots: readonly KnotPlan[];
  readonly chosen: KnotPlan;
  readonly search: Search;
  readonly frame: Frame;
  readonly units: LengthUnit;
  readonly colour: string;
  readonly onChoose: (moves: string) => void;
  readonly onSearch: (changed: Partial<Search>) => void;
}

/** The knots, best match first, each with its reasons; those that won't work last, saying why. */
export function KnotRanking({ knots, chosen, search, frame, units, colour, onChoose, onSearch }: KnotRankingProps) {
  const pictureOf = useKnotPictures(colour);
  const families = useMemo(() => familiesOf(knots), [knots]);
  const line = { frame, units, colour, pictureOf, chosen: chosen.moves, onChoose };
  return (
    <section aria-label="Knots" className="flex min-h-0 flex-col">
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
        <Switch
          label="Which knots"
          value={search.knots}
          choices={[
            { key: 'named', label: 'named' },
            { key: 'all', label: 'all' },
          ]}
          onChange={(which) => onSearch({ knots: which })}
        />
      </div>
      <MovesKey frame={frame} small />
      <p className="pb-0.5 text-note leading-snug text-soft">
        Figures: where to set the {search.manner === 'narrow' ? 'blade tip' : search.manner === 'any' ? 'tip' : 'tail tip'},{' '}
        {unitLabel(units)}; part of the collar edge the knot covers, best 22–33%.
      </p>
      <div role="radiogroup" aria-label="Knots, best match first" className="min-h-0 grow overflow-y-auto">
        {families.map((family) => (
          <Family key={family.first.moves} family={family} {...line} />
        ))}
      </div>
    </section>
  );
}

interface LineProps {
  readonly frame: Frame;
  readonly units: LengthUnit;
  readonly colour: string;
  readonly pictureOf: (moves: string) => KnotPicture | undefined;
  readonly chosen: string;
  readonly onChoose: (moves: string) => void;
}

/** One name with its best path; the others stand behind it until they are asked for. */
function Family({ family: { first, variants }, ...line }: LineProps & { readonly family: RankedFamily }) {
  const [asked, setAsked] = useState(false);
  const chosenVariant = variants.find(({ moves }) => moves === line.chosen);
  const shown = asked ? variants : chosenVariant ? [chosenVariant] : [];
  return (
    <>
      <KnotLine knot={first} {...line} />
      {shown.map((knot) => (
        <KnotLine key={knot.moves} knot={knot} {...line} />
      ))}
      {variants.length > 0 && (
        <Button look="text" className="ml-8 text-note" aria-expanded={asked} onClick={() => setAsked(!asked)}>
          {asked ? 'Hide variants' : variants.length === 1 ? '1 variant' : `${variants.length} variants`}
        </Button>
      )}
    </>
  );
}

function KnotLine({ knot, frame, units, colour, pictureOf, chosen, onChoose }: LineProps & { readonly knot: KnotPlan }) {
  const title = useKnotTitle()(knot);
  const isChosen = knot.moves === chosen;
  const { set } = knot.start;
  return (
    <div
      data-knot={knot.moves}
      data-rank={knot.rank}
      className="border-b border-faint py-1 pr-2 outline-offset-[-3px] hover:bg-white/60 has-checked:bg-white has-focus-visible:outline-3 has-focus-visible:outline-set"
    >
      <label className="block cursor-pointer">
        <input
          type="radio"
          name="knot"
          className="sr-only"
          aria-label={title}
          checked={isChosen}
          onChange={() => onChoose(knot.moves)}
          // The best match may be pressed to keep it, whatever is best later.
          onClick={() => onChoose(knot.moves)}
        />
        <span className="grid grid-cols-[1.6rem_auto_1fr_auto] items-center gap-2">
          <span className="figures text-right text-soft">{knot.rank}</span>
          <KnotSilhouette word={knot.moves} shape={knot.shape} frame={frame} colour={colour} picture={pictureOf(knot.moves)} />
          <span className="min-w-0 leading-tight">
            <span className="line-clamp-2 text-lg leading-5 font-medium">{title}</span>
            <Moves of={knot.moves} frame={frame} className="block text-note text-soft" />
          </span>
          <span className="text-right leading-tight">
            {knot.feasible ? (
              <span className="figures block text-xl text-follows">{formatFigure(roughly(set.dropMm, units), units)}</span>
            ) : (
              <span className="block text-note text-outside">won’t work</span>
            )}
            <span className="figures block text-note text-soft">{Math.round(knot.collar.fill * 100)}%</span>
          </span>
        </span>
        {!isChosen && <Telling knot={knot} />}
      </label>
      {isChosen && (
        <div className="pl-8">
          <ReasonList reasons={knot.reasons} />
        </div>
      )}
    </div>
  );
}

/** In one glance: what counts most against it, or else for it. */
function Telling({ knot }: { readonly knot: KnotPlan }) {
  const reason =
    knot.reasons.find(({ verdict }) => verdict === 'poor') ?? knot.reasons.find(({ verdict }) => verdict === 'fair') ?? knot.reasons[0];
  if (!reason) return null;
  return (
    <span className="flex gap-1.5 pl-8 text-note text-soft">
      <VerdictMark verdict={reason.verdict} />
      <span className="line-clamp-1">{reason.text}</span>
    </span>
  );
}
