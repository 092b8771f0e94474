import { parseKnot } from '../../core/index.ts';
import { hardshipsOf } from '../../core/knot/difficulty.ts';
import { manners } from '../../core/knot/manners.ts';
import type { KnotProperties } from '../../core/knot/properties.ts';
import type { MappedKnot } from '../../core/knotMap/mappedKnots.ts';
import { type LayerPlace, shownLayers } from '../../core/tying/face.ts';
import { formatLength } from '../../core/units/length.ts';
import { useAsked } from '../atHand/useAtHand.ts';
import { times } from '../ui/words.ts';

/** What a knot is like, whoever wears it. */
export function Characteristics({ knot: { plan } }: { readonly knot: MappedKnot }) {
  const { request, units } = useAsked();
  const { properties, shape } = plan;
  const { symmetry, balance, startSeam, centres } = properties;
  const says = [
    manners[properties.manner].says,
    `${properties.moves} moves, ${centres} of them through the throat.`,
    symmetry <= 1
      ? 'As many turns to the left as to the right, to one: it hangs even.'
      : `${symmetry} more turns to one side than to the other: it leans.`,
    balance === 0 ? 'The hand goes round in one direction throughout.' : `The hand turns back ${times(balance)}.`,
    startSeam === 'in' ? 'Starts with the seam to the shirt.' : 'Starts inside out: lay the tie on with the seam outward.',
    undoing(properties),
    `${formatLength(shape.depthMm, units)} deep from the shirt; needs a tie of about ${formatLength(plan.lengthNeededMm, units)} or longer. ${gripWords(plan.gripNeeded)}`,
    faceInWords(plan.moves),
  ];
  return (
    <ul className="space-y-1 pt-1">
      {says.map((text) => (
        <li key={text}>{text}</li>
      ))}
      <li className="text-note text-soft">
        What makes it hard:{' '}
        {hardshipsOf(properties)
          .map(({ text }) => text)
          .join(', ')}
        .
      </li>
    </ul>
  );

  /** Which layers show on the face, in words. */
  function faceInWords(moves: string): string {
    const seen = shownLayers(parseKnot(moves), shape, request.client.blade).filter(({ share }) => share >= 0.02);
    const parts = seen.map(({ place, move, share }) => {
      const of = place === 'throat' || place === 'panel' ? '' : ` of move ${move}`;
      return `${layerNames[place]}${of} (${Math.round(share * 100)}%)`;
    });
    return `On the face: ${parts.join(', ')}.`;
  }
}

function undoing({ active, selfReleasing }: KnotProperties): string {
  if (active === 'narrow') return 'Untie it move by move: the blade stood still, and drawing it out drags it through the whole knot.';
  return selfReleasing
    ? 'Pulls open: draw the tail out, and the blade runs free.'
    : 'Doesn’t pull open: with the tail drawn out, an overhand knot is left in the blade and jams. Untie it move by move.';
}

function gripWords(needed: number): string {
  if (needed < 0.3) return 'It holds in any fabric.';
  return needed < 0.6 ? 'It needs a fabric with some grip.' : 'It needs a fabric with texture: smooth ones slip.';
}

const layerNames: Readonly<Record<LayerPlace, string>> = {
  band: 'the front band',
  'left shoulder': 'the turn on the wearer’s left',
  'right shoulder': 'the turn on the wearer’s right',
  throat: 'the end on its way to the tuck',
  panel: 'the panel',
};
