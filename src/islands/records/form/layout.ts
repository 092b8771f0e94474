import type { Kind } from '../../../contract/records/records.ts';

/** Which fields stand together, and under what heading, in the order of the hand's work. */
export interface Section {
  readonly title: string;
  /** Which column it stands in, where a kind has more than one. */
  readonly column?: 2;
  readonly keys: readonly string[];
  readonly hint?: string;
}

export const layouts: Readonly<Record<Kind, readonly Section[]>> = {
  clients: [
    { title: 'Who', keys: ['name', 'nickname', 'note', 'phone', 'email', 'address'] },
    { title: 'Likings', keys: ['symmetry', 'dimple', 'release', 'neckBand', 'cautions'] },
    { title: 'Measures', keys: ['measures', 'front', 'beltHeightMm'], column: 2 },
    {
      title: 'Habits',
      keys: ['tiedBy', 'practice', 'blade', 'crossingGapMm', 'ownKnot', 'meansWindsor', 'meansHalfWindsor', 'aim', 'units'],
      column: 2,
    },
  ],
  shirts: [
    { title: 'Which shirt', keys: ['label', 'clientId', 'note'] },
    {
      title: 'Collar',
      keys: ['collarStyle', 'collarSpreadMm', 'collarPointMm', 'tieSpaceMm', 'standMm', 'collarAllowanceMm', 'buttonsMm'],
      hint: 'A named collar fills in its usual measures; then lay the ruler on this one.',
    },
    { title: 'Cloth', keys: ['colour', 'pattern', 'secondColour'] },
  ],
  jackets: [
    { title: 'Which jacket', keys: ['label', 'clientId', 'note'] },
    { title: 'Fronts', keys: ['lapelMm', 'lapelKind', 'cut', 'buttoningMm', 'worn', 'waistcoat'] },
    { title: 'Cloth', keys: ['colour'] },
  ],
  ties: [
    { title: 'Which tie', keys: ['label', 'clientId', 'state', 'outWith', 'note'] },
    { title: 'Measures', keys: ['lengthMm', 'bladeMm', 'thicknessMm', 'neckMm', 'neckAtMm', 'tailMm', 'keeperMm', 'profile'] },
    { title: 'Cloth', keys: ['fabric', 'pattern', 'colours', 'construction', 'ends'] },
  ],
  squares: [
    { title: 'Which square', keys: ['label', 'clientId', 'tieId', 'note'] },
    { title: 'Cloth', keys: ['fabric', 'colours'] },
  ],
  namings: [{ title: 'Which knot', keys: ['label', 'word', 'note'] }],
  outfits: [
    { title: 'What for', keys: ['label', 'occasion', 'dressRule', 'note'] },
    { title: 'Pieces', keys: ['shirtId', 'jacketId', 'squareId'] },
    {
      title: 'Trousers',
      keys: ['beltLineMm', 'beltHeightMm'],
      hint: 'Only where they sit other than his usual ones: length means nothing without them.',
    },
  ],
};
