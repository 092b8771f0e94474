import type { Kind } from './records.ts';

/** What one record of a kind is called, and several. */
export const kindWords: Readonly<Record<Kind, { readonly one: string; readonly many: string }>> = {
  people: { one: 'person', many: 'people' },
  regulations: { one: 'dress regulation', many: 'dress regulations' },
  clients: { one: 'client', many: 'clients' },
  shirts: { one: 'shirt', many: 'shirts' },
  jackets: { one: 'jacket', many: 'jackets' },
  ties: { one: 'tie', many: 'ties' },
  squares: { one: 'pocket square', many: 'pocket squares' },
  outfits: { one: 'outfit', many: 'outfits' },
  namings: { one: 'knot name', many: 'knot names' },
  learners: { one: 'learner', many: 'learners' },
  rehearsals: { one: 'rehearsal', many: 'rehearsals' },
  tyings: { one: 'tying', many: 'tyings' },
  cares: { one: 'care note', many: 'care notes' },
};

/** In the order in which they lean on each other. */
export const kindCodes: readonly Kind[] = [
  'people',
  'regulations',
  'clients',
  'shirts',
  'jackets',
  'ties',
  'squares',
  'outfits',
  'namings',
  'learners',
  'rehearsals',
  'tyings',
  'cares',
];

export function isKind(text: string | undefined): text is Kind {
  return kindCodes.some((kind) => kind === text);
}

/** What a record is known by: a name, or a label. */
export function titleOf(record: object): string {
  if ('name' in record) return String(record.name);
  return 'label' in record ? String(record.label) : '';
}
