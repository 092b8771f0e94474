import { type ReactNode, useEffect, useMemo, useState } from 'react';
import { createPortal } from 'react-dom';
import type { SeenCloth } from '../../../core/cloth/mesh/compact.ts';
import { frameAt } from '../../../core/cloth/steps/moment.ts';
import type { TyingSequence } from '../../../core/cloth/steps/sequence.ts';
import { cardCaution, cardLines, cardNotes } from '../../../core/guide/card.ts';
import type { GuideStep } from '../../../core/guide/guide.ts';
import { frameFrom, type Seat, seats } from '../../../core/guide/seat.ts';
import { formatKnot, type Knot } from '../../../core/index.ts';
import { swapsSides } from '../../../core/knot/frame.ts';
import type { FabricCode } from '../../../core/tie/fabrics.ts';
import { type CardFormat, cardFormats } from '../../../drawing/card/formats.ts';
import { TyingCard } from '../../../drawing/card/TyingCard.tsx';
import { sayFrame } from '../../../drawing/geometry/view.ts';
import { savePng, saveSvg } from '../../seen/drawingFile.ts';
import { useStepPictures } from '../../seen/useStepPictures.ts';
import { Button } from '../../ui/Button.tsx';
import { Switch } from '../../ui/Switch.tsx';

interface TakeHomeProps {
  readonly knot: Knot;
  readonly fabric: FabricCode;
  readonly title: string;
  readonly who: string;
  readonly start: string;
  readonly aim: string;
  /** The steps told in the client's view. */
  readonly steps: readonly GuideStep[];
  readonly seat: Seat;
  readonly blade: 'left' | 'right';
  /** The step at hand as a picture of its own. */
  readonly ofStep: ReactNode;
  readonly sequences: readonly (TyingSequence | null | undefined)[];
}

const formats = (Object.keys(cardFormats) as CardFormat[]).map((key) => ({ key, label: cardFormats[key].label }));

/** The card that goes home with the client: every step in a picture, and what to do around them. */
export function TakeHome({ knot, fabric, title, who, start, aim, steps, seat, blade, ofStep, sequences }: TakeHomeProps) {
  const [format, setFormat] = useState<CardFormat>('a5');
  const lines = useMemo(() => cardLines(steps), [steps]);
  const frames = useFrames(lines, sequences);
  const frame = frameFrom(seat, blade);
  const pictures = useStepPictures(frames, swapsSides(frame));
  const card = (
    <TyingCard
      format={format}
      said={{
        title,
        who,
        start,
        aim,
        moves: `${formatKnot(knot, frame)}  (${sayFrame(frame)})`,
        steps: lines.map(({ mark, whole, short }, i) => ({ mark, whole, short, href: pictures[i] })),
        lines: cardNotes(knot, steps, fabric),
        caution: cardCaution,
      }}
    />
  );
  useEffect(() => {
    document.documentElement.dataset.paper = format;
    return () => {
      delete document.documentElement.dataset.paper;
    };
  }, [format]);
  const drawing = () => document.querySelector<SVGSVGElement>('[aria-label="Card to take home"] svg');
  const save = (write: typeof saveSvg) => {
    const found = drawing();
    if (found) void write(found, `${title} card`);
  };
  const done = pictures.filter(Boolean).length;
  // A box that is still empty is not for paper.
  const isWhole = done > 0 && done >= frames.filter(Boolean).length;
  return (
    <div className="flex min-h-0 flex-col gap-2 py-2">
      <div className="flex flex-wrap items-center gap-x-4">
        <Switch label="Size of the card" value={format} choices={formats} onChange={setFormat} />
        <Button onClick={() => print()} disabled={!isWhole}>
          Print
        </Button>
        <Button look="text" disabled={!isWhole} onClick={() => save(saveSvg)}>
          Card: SVG
        </Button>
        <Button look="text" disabled={!isWhole} onClick={() => save(savePng)}>
          Card: PNG
        </Button>
        {ofStep}
      </div>
      <p role="status" className="text-note text-soft">
        In the client’s view: {seats[seat].label}.{' '}
        {done < lines.length
          ? `${done} of ${lines.length} pictures painted.`
          : format === 'strip'
            ? 'For a class: one before every place.'
            : ''}
      </p>
      <section aria-label="Card to take home" className="min-h-0 overflow-y-auto border border-line">
        {card}
      </section>
      {createPortal(<div className={`hidden paper-${format} print:block`}>{card}</div>, document.body)}
    </div>
  );
}

/** The frame of each line in the tie at hand, or else in a usual one; the same array as long as the same ones are there. */
function useFrames(lines: ReturnType<typeof cardLines>, sequences: TakeHomeProps['sequences']): readonly (SeenCloth | undefined)[] {
  return useMemo(
    () => lines.map(({ step }) => sequences.map((sequence) => (sequence ? frameAt(sequence, step.shows.moment) : undefined)).find(Boolean)),
    [lines, sequences],
  );
}
