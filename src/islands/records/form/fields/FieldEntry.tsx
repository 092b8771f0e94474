import { useFormContext } from 'react-hook-form';
import type { Field } from '../../../../contract/records/field.ts';
import { kinds } from '../../../../contract/records/kinds.ts';
import type { Kind } from '../../../../contract/records/records.ts';
import { collarStyles } from '../../../../core/collar/styles.ts';
import { measures } from '../../../../core/measures/measures.ts';
import { fabrics, fabricTraits, traitWord } from '../../../../core/tie/fabrics.ts';
import type { LengthUnit } from '../../../../core/units/length.ts';
import type { HowToProps } from '../../../../drawing/howto/HowTo.tsx';
import { ButtonsField } from '../../../ui/ButtonsField.tsx';
import { ColourField } from '../../../ui/ColourField.tsx';
import { ColoursField } from '../../../ui/ColoursField.tsx';
import { MeasureField } from '../../../ui/MeasureField.tsx';
import { SelectField } from '../../../ui/SelectField.tsx';
import type { Entries } from '../entries.ts';
import { KnotEntry } from './KnotEntry.tsx';
import { MeasuresField } from './MeasuresField.tsx';
import { ProfileField } from './ProfileField.tsx';
import { ChoicesField, FlagField, TextField } from './plainFields.tsx';
import { ReferenceField } from './ReferenceField.tsx';

interface FieldEntryProps {
  readonly kind: Kind;
  readonly name: string;
  readonly field: Field;
  readonly units: LengthUnit;
  readonly entries: Entries;
}

/** The field for one thing entered of a record. */
export function FieldEntry({ kind, name, field, units, entries }: FieldEntryProps) {
  switch (field.kind) {
    case 'text':
      return <TextField name={name} label={field.label} longest={field.longest} lines={field.lines} required={field.required === true} />;
    case 'length': {
      const sketch = sketchFor(kind, name);
      return (
        <MeasureField<Entries>
          name={name}
          measure={field.measure}
          units={units}
          optional={field.optional === true}
          {...(sketch && { sketch })}
        />
      );
    }
    case 'buttons':
      return <ButtonsField name={name} units={units} />;
    case 'choice':
      return <ChoiceEntry name={name} field={field} entries={entries} />;
    case 'choices':
      return <ChoicesField name={name} label={field.label} choices={field.choices} />;
    case 'flag':
      return <FlagField name={name} label={field.label} />;
    case 'colour':
      return <ColourField name={name} label={field.label} optional={field.optional === true} />;
    case 'colours':
      return <ColoursField label={field.label} />;
    case 'shares':
      // Entered beside the colours they belong to.
      return null;
    case 'reference':
      return <ReferenceField name={name} field={field} wearableBy={wearerOf(name, entries)} />;
    case 'knot':
      return <KnotEntry name={name} label={field.label} />;
    case 'measures':
      return <MeasuresField units={units} />;
    case 'profile':
      return <ProfileField units={units} entries={entries} />;
  }
}

/** An outfit is put together from what its client can wear. */
function wearerOf(name: string, { clientId }: Entries): string | undefined {
  return ['shirtId', 'jacketId', 'squareId'].includes(name) && typeof clientId === 'string' ? clientId : undefined;
}

/** The drawing of where a measure is taken, wherever it is taken. */
function sketchFor(kind: Kind, name: string): HowToProps | undefined {
  if (kind === 'outfits') return { of: 'client', measure: name === 'beltLineMm' ? 'frontDropMm' : name };
  const of = kinds[kind].part ?? 'client';
  return name in measures[of] ? { of, measure: name } : undefined;
}

function ChoiceEntry({ name, field, entries }: ChoiceEntryProps) {
  const { setValue } = useFormContext<Entries>();
  const isCollar = field.choices === collarStyles;
  const startFrom = (code: string) => {
    const style = collarStyles[code as keyof typeof collarStyles];
    const { collarPointMm, collarSpreadMm, tieSpaceMm, standMm } = style;
    for (const [key, mm] of Object.entries({ collarPointMm, collarSpreadMm, tieSpaceMm, standMm })) setValue(key, mm);
  };
  return (
    <>
      <SelectField
        name={name}
        label={field.label}
        choices={Object.entries(field.choices).map(([code, { label }]) => [code, label])}
        none={field.optional}
        {...(isCollar ? { onPick: startFrom } : {})}
      />
      {field.choices === fabrics && <AboutFabric code={String(entries[name])} tied={kinds.ties.fields.fabric === field} />}
    </>
  );
}

interface ChoiceEntryProps {
  readonly name: string;
  readonly field: Extract<Field, { kind: 'choice' }>;
  readonly entries: Entries;
}

/** What the cloth does in a knot, if it is tied, and how it wants to be kept. */
function AboutFabric({ code, tied }: { readonly code: string; readonly tied: boolean }) {
  const fabric = fabrics[code as keyof typeof fabrics];
  if (!fabric) return null;
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
      <dd>{fabric.care}</dd>
    </dl>
  );
}
