import { ListBox, ListBoxItem } from 'react-aria-components';
import { type Frame, formatKnot, type KnotPlan, type PlanRequest, parseKnot } from '../../../core/index.ts';
import { mannerCodes, manners } from '../../../core/knot/manners.ts';
import { endToSet } from '../../../core/plan/setting.ts';
import { formatFigure, type LengthUnit } from '../../../core/units/length.ts';
import { viewLabels } from '../../../drawing/geometry/view.ts';
import { KnotSilhouette } from '../../../drawing/knot/KnotSilhouette.tsx';
import type { KnotPicture } from '../../../drawing/knot/picture.ts';
import { useKnotPictures } from '../../seen/useKnotPictures.ts';
import { ReasonList, VerdictMark } from '../../ui/ReasonList.tsx';
import { Switch } from '../../ui/Switch.tsx';
import { useKnotTitle } from '../../wire/useKnotTitles.ts';

interface KnotRankingProps {
  readonly knots: readonly KnotPlan[];
  readonly chosen: KnotPlan;
  readonly taste: Pick<PlanRequest['taste'], 'knots' | 'manner'>;
  readonly frame: Frame;
  readonly units: LengthUnit;
  readonly colour: string;
  readonly onChoose: (word: string) => void;
  readonly onTaste: (taste: Partial<Pick<PlanRequest['taste'], 'knots' | 'manner'>>) => void;
}

/** The knots, best first, each with its reasons; those that cannot be worn last, saying why. */
export function KnotRanking({ knots, chosen, taste, frame, units, colour, onChoose, onTaste }: KnotRankingProps) {
  const titleOf = useKnotTitle();
  const pictureOf = useKnotPictures(colour);
  const endsSet = taste.manner === 'narrow' ? 'blade’s tip' : taste.manner === 'any' ? 'end that is set' : 'narrow tip';
  return (
    <section aria-label="Knots" className="flex min-h-0 flex-col">
      <div className="flex items-end justify-between border-b border-line pb-1">
        <h2 className="text-lg font-medium">Knots</h2>
        <select
          aria-label="Family of knots"
          className="h-9 border-b-2 border-set/40 bg-transparent text-[0.95rem] text-set"
          value={taste.manner}
          onChange={(event) => onTaste({ manner: event.target.value as typeof taste.manner })}
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
          value={taste.knots}
          choices={[
            { key: 'named', label: 'named' },
            { key: 'all', label: 'all' },
          ]}
          onChange={(knots) => onTaste({ knots })}
        />
      </div>
      <p className="py-0.5 text-note text-soft">
        Left and right as seen {viewLabels[frame.view].name}; figures: where the {endsSet} hangs.
      </p>
      <ListBox
        aria-label="Knots, best first"
        selectionMode="single"
        disallowEmptySelection
        selectedKeys={[chosen.moves]}
        onSelectionChange={(keys) => {
          const [word] = [...(keys as Set<string>)];
          if (word) onChoose(word);
        }}
        className="min-h-0 grow overflow-y-auto outline-none"
      >
        {knots.map((knot) => {
          const isChosen = knot.moves === chosen.moves;
          const spoken = formatKnot(parseKnot(knot.moves), frame);
          return (
            <ListBoxItem
              key={knot.moves}
              id={knot.moves}
              textValue={titleOf(knot)}
              data-knot={knot.moves}
              data-rank={knot.rank}
              className="cursor-pointer border-b border-faint py-1 pr-2 outline-offset-[-3px] data-[focus-visible]:outline-3 data-[focus-visible]:outline-set data-[hovered]:bg-white/60 data-[selected]:bg-white"
            >
              <KnotLine
                knot={knot}
                title={titleOf(knot)}
                spoken={spoken}
                frame={frame}
                units={units}
                colour={colour}
                picture={pictureOf(knot.moves)}
              />
              {isChosen ? (
                <div className="pl-8">
                  <ReasonList reasons={knot.reasons} />
                </div>
              ) : (
                <Telling knot={knot} />
              )}
            </ListBoxItem>
          );
        })}
      </ListBox>
    </section>
  );
}

interface KnotLineProps {
  readonly knot: KnotPlan;
  readonly title: string;
  readonly spoken: string;
  readonly frame: Frame;
  readonly units: LengthUnit;
  readonly colour: string;
  readonly picture: KnotPicture | undefined;
}

function KnotLine({ knot, title, spoken, frame: { view, blade }, units, colour, picture }: KnotLineProps) {
  return (
    <div className="grid grid-cols-[1.6rem_auto_1fr_auto] items-center gap-2">
      <span className="figures text-right text-soft">{knot.rank}</span>
      <KnotSilhouette word={knot.moves} shape={knot.shape} frame={{ view, blade }} colour={colour} picture={picture} />
      <span className="min-w-0 leading-tight">
        <span className="line-clamp-2 text-lg leading-5 font-medium">{title}</span>
        <span className="figures block truncate text-note text-soft">{spoken}</span>
      </span>
      <span className="text-right leading-tight">
        <span className={`figures block text-xl ${knot.feasible ? 'text-follows' : 'text-outside'}`}>
          {knot.feasible ? formatFigure(endToSet(knot.start).dropMm, units) : 'cannot'}
        </span>
        <span className="figures block text-note text-soft">{Math.round(knot.collar.fill * 100)} % of edge</span>
      </span>
    </div>
  );
}

/** In one glance: what speaks most against it, or else for it. */
function Telling({ knot }: { readonly knot: KnotPlan }) {
  const reason =
    knot.reasons.find(({ verdict }) => verdict === 'poor') ?? knot.reasons.find(({ verdict }) => verdict === 'fair') ?? knot.reasons[0];
  if (!reason) return null;
  return (
    <p className="flex gap-1.5 pl-8 text-note text-soft">
      <VerdictMark verdict={reason.verdict} />
      <span className="line-clamp-1">{reason.text}</span>
    </p>
  );
}
