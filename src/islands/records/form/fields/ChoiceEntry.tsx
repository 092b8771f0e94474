import type { ChoiceField } from '../../../../contract/fields/choice.ts';
import { fabricCare } from '../../../../core/care/fabricCare.ts';
import { collarStyles } from '../../../../core/collar/styles.ts';
import { formatKnot, parseKnot } from '../../../../core/index.ts';
import { type FabricCode, fabrics, fabricTraits, traitWord } from '../../../../core/tie/fabrics.ts';
import { SelectField } from '../../../ui/SelectField.tsx';
import { useFrame } from '../useFrame.ts';
import { useRecord } from '../useRecord.ts';
import type { FieldEntryProps } from './entryProps.ts';

export function ChoiceEntry({ name, field }: FieldEntryProps<ChoiceField>) {
  const { kind, store, entries } = useRecord();
  const frame = useFrame();
  const isCollar = field.choices === collarStyles;
  const startFrom = (code: string) => {
    const { collarPointMm, collarSpreadMm, tieSpaceMm, standMm } = collarStyles[code as keyof typeof collarStyles];
    store.change((now) => ({ ...now, [name]: code, collarPointMm, collarSpreadMm, tieSpaceMm, standMm }));
  };
  const choices = Object.entries(field.choices).map(
    ([code, { label }]) => [code, field.ofKnots ? `${label}: ${formatKnot(parseKnot(code), frame)}` : label] as const,
  );
  return (
    <>
      <SelectField name={name} label={field.label} choices={choices} none={field.optional} {...(isCollar ? { onSelect: startFrom } : {})} />
      {field.choices === fabrics && <AboutFabric code={entries[name] as FabricCode} tied={kind === 'ties'} />}
    </>
  );
}

/** What the fabric does in a knot, if it is tied, and how it wants to be kept. */
function AboutFabric({ code, tied }: { readonly code: FabricCode; readonly tied: boolean }) {
  const fabric = fabrics[code];
  return (
    <dl className="grid grid-cols-[6.5rem_1fr] gap-x-2 gap-y-0.5 py-2 text-note">
      {(tied ? fabricTraits : []).map((trait) => (
        <div key={trait.label} className="contents">
          <dt className="text-soft" title={trait.about}>
            {trait.label}
          </dt>
          <dd>
            {traitWord(trait, fabric)}
            <span className="block text-soft">{trait.about}</span>
          </dd>
        </div>
      ))}
      <dt className="text-soft">Care</dt>
      <dd>
        {fabricCare[code].store} {fabricCare[code].care}
      </dd>
    </dl>
  );
}
