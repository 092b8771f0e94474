import { Plus, X } from 'lucide-react';
import { useController } from 'react-hook-form';
import { mostTieColours } from '../../contract/atoms.ts';
import { supposedShares } from '../../core/colour/cloth.ts';
import { inHundredths } from '../../core/colour/palette.ts';
import { ColourInput } from './ColourField.tsx';
import { FromPhoto } from './FromPhoto.tsx';
import { useFault } from './faults.ts';
import { Tool } from './Tool.tsx';

/** Up to four colours, the ground first, with how much of the cloth each is; by hand or from a photo. */
export function ColoursField({ label }: { readonly label: string }) {
  const colours = useController({ name: 'colours' }).field;
  const shares = useController({ name: 'shares' }).field;
  const fault = [useFault('colours'), useFault('shares')].filter(Boolean).join(' ');
  const list = colours.value as readonly string[];
  const parts = (shares.value as readonly number[] | null) ?? supposedShares(list.length);
  const set = (nextColours: readonly string[], nextShares: readonly number[] | null) => {
    colours.onChange(nextColours);
    shares.onChange(nextShares);
  };
  return (
    <fieldset className="border-b border-faint py-1">
      <legend className="text-note text-soft">{label}, the ground first, and how much of the cloth each is</legend>
      <div aria-hidden className="my-1 flex h-7 border border-ink/40">
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
                shares.value as readonly number[] | null,
              )
            }
          />
          <label className="flex items-center gap-1">
            <span className="sr-only">Share of colour {i + 1}, per cent</span>
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
          {list.length > 1 && (
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
          )}
        </div>
      ))}
      <div className="flex flex-wrap items-center gap-x-4">
        {list.length < mostTieColours && (
          <button
            type="button"
            className="flex min-h-9 cursor-pointer items-center gap-1 text-set"
            onClick={() => set([...list, '#c9b98a'], null)}
          >
            <Plus aria-hidden className="size-4" /> another colour
          </button>
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
