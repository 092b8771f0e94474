import { useState } from 'react';
import { readElsewhere } from '../../../core/guide/fromElsewhere.ts';
import { type Frame, formatKnot, KnotWordError } from '../../../core/index.ts';
import { knotTitle } from '../../../core/knot/code.ts';
import { sayFrame } from '../../../drawing/geometry/view.ts';
import { useAsked } from '../../atHand/useAtHand.ts';
import { Button } from '../../ui/Button.tsx';

/** A sequence that was written for another view, in this one. */
export function FromElsewhere({ frame }: { readonly frame: Frame }) {
  const { store } = useAsked();
  const [text, setText] = useState('');
  const read = reading(text);
  return (
    <div className="space-y-2 py-2">
      <label className="block">
        <span className="text-soft">Moves as they are written elsewhere</span>
        <input
          className="figures h-11 w-full border-b-2 border-set/40 bg-transparent text-xl text-set focus:border-set"
          placeholder="Ri Lo Ri Co T"
          value={text}
          onChange={(event) => setText(event.target.value)}
        />
      </label>
      <div aria-live="polite">
        {typeof read === 'string' && <p className="text-outside">{read}</p>}
        {read !== undefined && typeof read !== 'string' && (
          <>
            <p className="text-2xl font-medium">{knotTitle(read.knot)}</p>
            <p>
              Here: <span className="figures text-xl">{formatKnot(read.knot, frame)}</span> ({sayFrame(frame)})
            </p>
            <p className="text-soft">
              Assumed: written {read.writtenFor.map((each) => `${sayFrame(each)}`).join('; or ')}. Both spell it alike.
            </p>
            <p className="pt-2">
              <Button onClick={() => store.set('knot', formatKnot(read.knot))}>Tie this one</Button>
            </p>
          </>
        )}
      </div>
    </div>
  );
}

function reading(text: string): ReturnType<typeof readElsewhere> | string | undefined {
  if (text.trim() === '') return undefined;
  try {
    return readElsewhere(text);
  } catch (error) {
    if (error instanceof KnotWordError) return error.message;
    throw error;
  }
}
