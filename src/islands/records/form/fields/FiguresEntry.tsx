import type { FiguresField } from '../../../../contract/fields/figures.ts';
import { useEntry } from '../../../ui/entry.ts';
import type { FieldEntryProps } from './entryProps.ts';

/** What was worked out on its day: to be looked at, never typed. */
export function FiguresEntry({ name, field: { label } }: FieldEntryProps<FiguresField>) {
  const { value } = useEntry<Readonly<Record<string, number>>>(name);
  return (
    <details className="border-b border-faint py-1">
      <summary className="min-h-8 cursor-pointer text-set">{label}</summary>
      <dl className="grid grid-cols-[1fr_auto] text-note">
        {Object.entries(value).map(([key, figure]) => (
          <div key={key} className="contents">
            <dt className="text-soft">
              {key
                .replace(/([A-Z])/g, ' $1')
                .replace(/ Mm$/, ', mm')
                .replace(/ Deg$/, ', degrees')
                .toLowerCase()}
            </dt>
            <dd className="figures text-right">{Math.round(figure * 10) / 10}</dd>
          </div>
        ))}
      </dl>
    </details>
  );
}
