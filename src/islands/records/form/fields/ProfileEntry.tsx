import { Plus, X } from 'lucide-react';
import { type Measure, measures, mostWidths } from '../../../../core/measures/measures.ts';
import type { WidthAt } from '../../../../core/tie/tie.ts';
import { widthAt } from '../../../../core/tie/width.ts';
import { Button } from '../../../ui/Button.tsx';
import { type LengthEntry, useEntry } from '../../../ui/entry.ts';
import { MeasureField } from '../../../ui/MeasureField.tsx';
import { Tool } from '../../../ui/Tool.tsx';
import { drawnTie } from '../../pictures/drawnTie.ts';
import type { Entries } from '../entries.ts';
import { useRecord } from '../useRecord.ts';

const place: Measure = { label: 'from the tip', minMm: 1, maxMm: measures.tie.lengthMm.maxMm, how: 'along the tie, from the blade tip' };
const width: Measure = { label: 'wide', minMm: measures.tie.neckMm.minMm, maxMm: measures.tie.bladeMm.maxMm, how: 'edge to edge, folded' };

/** Widths measured along the tie, for one that does not taper evenly. */
export function ProfileEntry({ name }: { readonly name: string }) {
  const { units, entries } = useRecord();
  const { value: points, fault, onChange } = useEntry<readonly { readonly atMm: LengthEntry; readonly widthMm: LengthEntry }[]>(name);
  return (
    <fieldset className="py-1">
      <legend className="text-note text-soft">Widths along it, where it doesn’t taper evenly</legend>
      {points.map((_, i) => (
        // biome-ignore lint/suspicious/noArrayIndexKey: the place in the list is the name of its fields.
        <div key={i} className="grid grid-cols-[1fr_1fr_auto] items-center gap-2">
          <MeasureField name={`${name}.${i}.atMm`} measure={place} units={units} />
          <MeasureField name={`${name}.${i}.widthMm`} measure={width} units={units} />
          <Tool label={`Delete width ${i + 1}`} onPress={() => onChange(points.filter((__, at) => at !== i))}>
            <X aria-hidden className="size-4" />
          </Tool>
        </div>
      ))}
      {points.length < mostWidths && (
        <Button look="text" onClick={() => onChange([...points, nextWidth(entries)])}>
          <Plus aria-hidden className="size-4" /> Add a width
        </Button>
      )}
      {typeof fault === 'string' && points.length === 0 && <p className="text-note text-outside">{fault}</p>}
    </fieldset>
  );
}

/** In the middle of the longest stretch without a width, as wide as the tie is taken to be there. */
function nextWidth(entries: Entries): WidthAt {
  const tie = drawnTie(entries);
  const stops = [tie.bladeMm / 2, ...(tie.profile ?? []).map(({ atMm }) => atMm), tie.neckAtMm]
    .filter((at) => at <= tie.neckAtMm)
    .sort((a, b) => a - b);
  const gaps = stops.slice(1).map((to, i) => ({ from: stops[i] ?? 0, to }));
  const widest = gaps.reduce(
    (best, gap) => (gap.to - gap.from > best.to - best.from ? gap : best),
    gaps[0] ?? { from: 0, to: tie.neckAtMm },
  );
  const atMm = Math.round((widest.from + widest.to) / 2);
  return { atMm, widthMm: Math.round(widthAt(tie, atMm)) };
}
