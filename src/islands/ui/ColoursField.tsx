import { Plus, X } from 'lucide-react';
import { supposedShares } from '../../core/colour/cloth.ts';
import { inHundredths } from '../../core/colour/hundredths.ts';
import { mostColours } from '../../core/measures/measures.ts';
import { usualColours } from '../../core/usual.ts';
import { Button } from './Button.tsx';
import { ColourInput } from './ColourField.tsx';
import { useEntry } from './entry.ts';
import { FromPhoto } from './FromPhoto.tsx';
import { Tool } from './Tool.tsx';

/** Up to four colours, the ground first, with how much of the fabric each is; by hand or from a photo. */
export function ColoursField({ label }: { readonly label: string }) {
  const colours = useEntry<readonly string[]>('colours');
  const shares = useEntry<readonly number[] | null>('shares');
  const fault = [colours.fault, shares.fault].filter(Boolean).join(' ');
  const list = colours.value;
  const parts = shares.value ?? supposedShares(list.length);
  const set = (nextColours: readonly string[], nextShares: readonly number[] | null) => {
    colours.onChange(nextColours);
    shares.onChange(nextShares);
  };
  return (
    <fieldset className="border-b border-faint py-1">
      <legend className="text-note text-soft">{label}, the ground first, and how much of the fabric each is</legend>
      {list.length === 0 && <p className="text-note text-soft">Not entered, so colour is not judged.</p>}
      <div aria-hidden className={`my-1 flex h-7 border border-ink/40 ${list.length === 0 ? 'hidden' : ''}`}>
        {list.map((colour, i) => (
          // biome-ignore lint/suspicious/noArrayIndexKey: two colours may be equal while one of them is being chosen.
          <span key={i} style={{ background: colour, flexGrow: parts[i] ?? 1 }} />
        ))}
      </div>
      {list.map((colour, i) => (
        // biome-ignore lint/suspicious/noArrayIndexKey: the place is what tells one colour from another.
        <div key={i} className="flex items-center gap-2 py-0.5">
          <ColourInput
            label={`Colour ${i + 1}`}
            colour={colour}
            onChange={(next) =>
              set(
                list.map((each, at) => (at === i ? next : each)),
                shares.value,
              )
            }
          />
          <label className="flex items-center gap-1">
            <span className="sr-only">Share of colour {i + 1}, percent</span>
            <input
              type="number"
              min={1}
              max={100}
              className="figures h-9 w-16 border-b-2 border-set/40 bg-transparent text-right text-xl text-set"
              value={parts[i] ?? ''}
              onChange={(event) =>
                set(
                  list,
                  parts.map((part, at) => (at === i ? Number(event.target.value) : part)),
                )
              }
            />
            %
          </label>
          <Tool
            label={`Remove colour ${i + 1}`}
            onPress={() =>
              set(
                list.filter((_, at) => at !== i),
                null,
              )
            }
          >
            <X aria-hidden className="size-4" />
          </Tool>
        </div>
      ))}
      <div className="flex flex-wrap items-center gap-x-4">
        {list.length < mostColours && (
          <Button look="text" onClick={() => set([...list, list.length === 0 ? usualColours.tie : '#c9b98a'], null)}>
            <Plus aria-hidden className="size-4" /> Add a colour
          </Button>
        )}
        <FromPhoto
          label={label}
          onPalette={(palette) =>
            set(
              palette.map(({ colour }) => colour),
              inHundredths(palette),
            )
          }
        />
      </div>
      {fault && <p className="text-note text-outside">{fault}</p>}
    </fieldset>
  );
}
