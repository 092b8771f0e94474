import { useMemo } from 'react';
import { colourReasons, coloursNotEntered } from '../../../core/wardrobe/colourCriterion.ts';
import { useAsked } from '../../atHand/useAtHand.ts';
import { ReasonList } from '../../ui/ReasonList.tsx';

/** The tie at hand against shirt, jacket and trousers, whichever knot it is tied in; what was never entered is asked for, not judged. */
export function ColoursJudged() {
  const { values, wardrobe } = useAsked();
  const { tie, shirt, jacket, trousers } = values.colours;
  const shares = wardrobe.ties.find(({ id }) => id === values.tie.id)?.shares ?? null;
  const reasons = useMemo(
    () => colourReasons({ colours: tie, shares }, { shirtColour: shirt, jacketColour: jacket, trousersColour: trousers }),
    [tie, shares, shirt, jacket, trousers],
  );
  const missing = coloursNotEntered(tie, shirt);
  return (
    <>
      {reasons.length > 0 && <ReasonList reasons={reasons} />}
      {missing && <p className="pb-1 text-note text-soft">Colour isn’t judged: {missing}.</p>}
    </>
  );
}
