import { frontDropOf } from '../../body/frontDrop.ts';
import { buttoningPoint, waistcoatClosesAt } from '../../jacket/opening.ts';
import type { PlanRequest } from '../request.ts';
import type { Criterion } from './criterion.ts';

/** A motif this near to what hides it is half hidden, mm. */
const halfAMotifMm = 15;

/** Below this the jacket or waistcoat hides the tie, mm below the collar button; `undefined` where nothing does. */
function hiddenFrom({ client, jacket }: PlanRequest): { readonly atMm: number; readonly by: string } | undefined {
  if (!jacket) return undefined;
  const beltMm = frontDropOf(client).meanMm;
  if (jacket.waistcoat) return { atMm: waistcoatClosesAt(beltMm), by: 'waistcoat' };
  return jacket.worn === 'closed' ? { atMm: buttoningPoint(jacket, beltMm), by: 'buttoned jacket' } : undefined;
}

/** Does a crest or single motif land where it shows? Asked of ties that have one. */
export const motifCriterion: Criterion = {
  code: 'motif',
  weight: 0.06,
  judge: ({ request, landing, shape, say }) => {
    const { motifMm } = request.tie;
    if (motifMm === undefined || motifMm === null) return undefined;
    const at = landing.dropMm - motifMm;
    const hidden = hiddenFrom(request);
    if (at < shape.heightMm + halfAMotifMm) return { score: 0, verdict: 'poor', text: 'The motif would be tied into the knot.' };
    if (hidden && at > hidden.atMm - halfAMotifMm)
      return { score: 0.2, verdict: 'poor', text: `The motif would sit ${say(at)} below the collar button, hidden by the ${hidden.by}.` };
    return { score: 1, verdict: 'good', text: `The motif sits ${say(at)} below the collar button, in sight.` };
  },
};
