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
  learners: [{ title: 'Learner', keys: ['label', 'who', 'clientId', 'class', 'child', 'goal', 'note'] }],
  rehearsals: [
    { title: 'Rehearsal', keys: ['label', 'learnerId', 'knot', 'part', 'doneOn'] },
    { title: 'How it went', keys: ['seconds', 'clean', 'wrong', 'note'] },
  ],
  tyings: [
    { title: 'Tying', keys: ['label', 'source', 'clientId', 'tieId', 'knot', 'personId', 'neck', 'doneOn'] },
    { title: 'Start', keys: ['state', 'end', 'setMm', 'tries', 'minutes'] },
    { title: 'How it ended', keys: ['tipOffMm', 'tailEndMm', 'topMm', 'bottomMm', 'heightMm', 'depthMm', 'lean'], column: 2 },
    { title: 'What was found', keys: ['findings', 'clientVerdict', 'stylistVerdict', 'counts', 'note', 'figures'], column: 2 },
  ],
  cares: [{ title: 'Care note', keys: ['label', 'tieId', 'what', 'clientId', 'fromOn', 'untilOn', 'note'] }],
  people: [
    { title: 'Person', keys: ['name', 'note'] },
    {
      title: 'How they dress others',
      keys: ['blade', 'pins', 'gapMm', 'slackMm', 'readsAt', 'tells', 'button', 'tightens', 'keeper', 'tucks'],
      hint: 'Habits differ, and each is right: Ropewalk follows those of whoever is dressing.',
    },
    {
      title: 'Their own neck',
      keys: ['neckMm', 'heightMm'],
      hint: 'For knots tied on themselves and handed over as a loop.',
    },
  ],
  regulations: [
    {
      title: 'Dress regulation',
      keys: ['label', 'asOf', 'note'],
      hint: 'Ropewalk holds what was known on this day. The service’s current regulation decides.',
    },
    { title: 'What it prescribes', keys: ['knot', 'dimple', 'aim', 'patterns', 'jacketWorn', 'collarRule', 'lapelRule'] },
  ],
  clients: [
    { title: 'Contact', keys: ['name', 'nickname', 'note', 'phone', 'email', 'address'] },
    { title: 'Preferences', keys: ['symmetry', 'dimple', 'release', 'neckBand', 'cautions'] },
    { title: 'Measures', keys: ['measures', 'front', 'beltHeightMm'], column: 2 },
    {
      title: 'Habits',
      keys: ['tiedBy', 'practice', 'blade', 'crossingGapMm', 'ownKnot', 'meansWindsor', 'meansHalfWindsor', 'aim', 'units'],
      column: 2,
    },
  ],
  shirts: [
    { title: 'Shirt', keys: ['label', 'clientId', 'draft', 'note'] },
    {
      title: 'Collar',
      keys: ['collarStyle', 'collarSpreadMm', 'collarPointMm', 'tieSpaceMm', 'standMm', 'collarAllowanceMm', 'buttonsMm'],
      hint: 'A named collar fills in its usual measures; then measure this one.',
    },
    { title: 'Fabric', keys: ['colour', 'pattern', 'secondColour'] },
  ],
  jackets: [
    { title: 'Jacket', keys: ['label', 'clientId', 'draft', 'note'] },
    { title: 'Fronts', keys: ['lapelMm', 'lapelKind', 'cut', 'buttoningMm', 'worn', 'waistcoat'] },
    { title: 'Fabric', keys: ['colour'] },
  ],
  ties: [
    { title: 'Tie', keys: ['label', 'clientId', 'draft', 'note'] },
    { title: 'Measures', keys: ['lengthMm', 'bladeMm', 'thicknessMm', 'neckMm', 'neckAtMm', 'tailMm', 'keeperMm', 'profile'] },
    { title: 'Fabric', keys: ['fabric', 'pattern', 'motifMm', 'colours', 'construction', 'ends'] },
  ],
  squares: [
    { title: 'Pocket square', keys: ['label', 'clientId', 'tieId', 'note'] },
    { title: 'Fabric', keys: ['fabric', 'colours'] },
  ],
  namings: [{ title: 'Knot', keys: ['label', 'word', 'note'] }],
  outfits: [
    { title: 'Occasion', keys: ['label', 'occasion', 'dressRule', 'aim', 'regulationId', 'note'] },
    { title: 'Pieces', keys: ['shirtId', 'jacketId', 'tieId', 'knot', 'squareId'] },
    {
      title: 'Trousers',
      keys: ['beltLineMm', 'beltHeightMm', 'trousersColour'],
      hint: 'Only where these trousers sit higher or lower than the client’s usual ones.',
    },
  ],
};
