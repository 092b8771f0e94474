import { type KindOf, nameField, noteField } from './kindOf.ts';

/** What the studio itself calls a knot. */
export const namings: KindOf<'namings'> = {
  fields: { label: nameField, word: { kind: 'knot', label: 'Knot', required: true }, note: noteField },
  unique: { key: 'word', taken: 'The studio has a name for this knot already.' },
  fresh: { label: '', note: '', word: '' },
};
