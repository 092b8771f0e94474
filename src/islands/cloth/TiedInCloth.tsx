import { useQuery } from '@tanstack/react-query';
import type { FieldKnot } from '../../core/field/knotField.ts';
import { type PlanRequest, parseKnot } from '../../core/index.ts';
import type { BenchValues } from '../bench/values.ts';
import { drawnOn } from '../knots/drawnOn.ts';
import { ClothPicture } from './ClothPicture.tsx';
import { readyClothQuery } from './readyCloth.ts';
import { useLiveCloth } from './useLiveCloth.ts';

interface TiedInClothProps {
  readonly knot: FieldKnot;
  readonly request: PlanRequest;
  readonly values: BenchValues;
}

/** The knot as a real ribbon drawn up: ready in the reference tie, and on demand in this very one. */
export function TiedInCloth({ knot, request, values }: TiedInClothProps) {
  const { plan, title, code } = knot;
  const { client, shirt, tie } = request;
  const ready = useQuery(readyClothQuery(code)).data;
  const { live, start, stop } = useLiveCloth({
    knot: parseKnot(plan.moves),
    tie,
    loopMm: client.neckMm + shirt.collarAllowanceMm,
    standingMm: (plan.start.sets === 'blade' ? plan.start.bladeDropMm : plan.start.tailDropMm) + client.crossingGapMm,
    dimple: 'off-centre',
    seed: 0,
  });
  const shown = live.kind === 'tied' ? live.cloth : ready;
  return (
    <section aria-label="Tied in cloth">
      <h2 className="border-b-2 border-ink pt-4 font-medium">Tied in cloth</h2>
      {shown ? (
        <ClothPicture cloth={shown} paint={drawnOn(request, values).cloth} title={title} blade={client.blade} />
      ) : (
        <p className="py-4 text-soft">
          {ready === undefined ? 'Looking for it …' : 'This knot is not tied ready. Tie it in this very tie.'}
        </p>
      )}
      <p className="text-note text-soft" role="status">
        {live.kind === 'tied'
          ? 'Tied with this very tie, by simulation. Drag it, or turn it by the arrow keys.'
          : live.kind === 'tying'
            ? `Tying it: ${Math.round(100 * live.share)} %${live.attempt > 0 ? `, attempt ${live.attempt + 1}` : ''}`
            : live.kind === 'refused'
              ? 'It did not come out clean in this tie, so only the drawing above is shown.'
              : shown
                ? 'Simulated in a tie 8.5 cm wide and 3.2 mm thick, in this tie’s colours. Widths and lean are about right, not to the millimetre. Drag it, or turn it by the arrow keys.'
                : ''}
      </p>
      {live.kind === 'tying' ? (
        <button type="button" className="min-h-10 cursor-pointer border-2 border-ink px-3" onClick={stop}>
          Stop
        </button>
      ) : (
        live.kind !== 'tied' && (
          <button
            type="button"
            className="min-h-10 cursor-pointer border-2 border-set px-3 text-set hover:bg-set hover:text-white"
            onClick={start}
          >
            Tie this very tie
          </button>
        )
      )}
    </section>
  );
}
