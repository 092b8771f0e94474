import type { Kind } from '../../contract/records/records.ts';

/** Which fields stand together, and under what heading, in the order of the hand's work. */
export interface Section {
  readonly title: string;
  readonly keys: readonly string[];
  readonly hint?: string;
}

export const layouts: Readonly<Record<Kind, readonly Section[]>> = {
  clients: [
    { title: 'Who', keys: ['name', 'nickname', 'note', 'phone', 'email', 'address'] },
    { title: 'Measures', keys: ['measures', 'front', 'beltHeightMm'] },
    { title: 'Habits', keys: ['tiedBy', 'practice', 'blade', 'crossingGapMm', 'ownKnot', 'aim', 'units'] },
    { title: 'Likings', keys: ['symmetry', 'dimple', 'release', 'neckBand', 'cautions'] },
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
