import { fronts } from '../../core/body/frontDrop.ts';
import { collarStyles } from '../../core/collar/styles.ts';
import { requestDefaults, supposeTie } from '../../core/index.ts';
import { jacketCuts, jacketWorn, lapelKinds } from '../../core/jacket/jackets.ts';
import { familyOf } from '../../core/knot/names.ts';
import { measures } from '../../core/measures/measures.ts';
import { aims } from '../../core/plan/aims.ts';
import { cautions, finishing, likings } from '../../core/plan/habits.ts';
import { fabrics } from '../../core/tie/fabrics.ts';
import { constructions, tieStates } from '../../core/tie/making.ts';
import { patterns } from '../../core/tie/patterns.ts';
import { tieEnds } from '../../core/tie/tie.ts';
import type { Choices, Field, Fields } from './field.ts';
import { dressRules, type Entered, type Kind, type RecordOf } from './records.ts';

/** All that is particular to one kind of record. */
export interface KindOf<K extends Kind> {
  readonly one: string;
  readonly many: string;
  readonly fields: Fields<RecordOf[K]>;
  /** A new one, before anything is entered. */
  readonly fresh: Omit<Entered<K>, 'id'>;
  readonly titleOf: (record: Pick<RecordOf[K], never> & object) => string;
  /** Part of a plan's question that its measures are, so that they are held to each other as there. */
  readonly part?: 'shirt' | 'jacket' | 'tie';
}

const longestLine = 120;
export const longestNote = 2000;

const note: Field = { kind: 'text', label: 'Note', longest: longestNote, lines: 3 };
const label: Field = { kind: 'text', label: 'Name', longest: longestLine, required: true };
const line = (text: string): Field => ({ kind: 'text', label: text, longest: longestLine });
const blades = { right: { label: 'right' }, left: { label: 'left' } };
const units = { cm: { label: 'centimetres' }, in: { label: 'inches' } };
/** The knots that share a name, to choose from. */
function passingUnder(family: string): Choices {
  return Object.fromEntries(familyOf(family).map(({ word, names }) => [word, { label: `${names[0]}: ${word}` }]));
}

const owner: Field = { kind: 'reference', label: 'Belongs to', to: 'clients', optional: 'the studio' };
const titleByLabel = (record: object) => ('label' in record ? String(record.label) : '');

const clients: KindOf<'clients'> = {
  one: 'client',
  many: 'clients',
  fields: {
    name: label,
    nickname: line('Called'),
    note,
    email: line('E-mail'),
    phone: line('Telephone'),
    address: line('Address'),
    measures: { kind: 'measures', label: 'Measures' },
    front: { kind: 'choice', label: 'Front', choices: fronts },
    blade: { kind: 'choice', label: 'The blade hangs on the', choices: blades },
    crossingGapMm: { kind: 'length', measure: measures.client.crossingGapMm },
    beltHeightMm: { kind: 'length', measure: measures.client.beltHeightMm },
    tiedBy: { kind: 'choice', label: 'Tied by', choices: finishing.tiedBy },
    practice: { kind: 'choice', label: 'Practice', choices: likings.practice },
    ownKnot: { kind: 'knot', label: 'The one knot worn' },
    meansWindsor: { kind: 'choice', label: '“Windsor” means', choices: passingUnder('Windsor'), optional: 'not said' },
    meansHalfWindsor: { kind: 'choice', label: '“Half-Windsor” means', choices: passingUnder('half-Windsor'), optional: 'not said' },
    symmetry: { kind: 'choice', label: 'Likes the knot', choices: likings.symmetry },
    dimple: { kind: 'choice', label: 'Dimple', choices: finishing.dimple },
    release: { kind: 'choice', label: 'Undoing', choices: likings.release },
    neckBand: { kind: 'choice', label: 'Neck band at the collar', choices: likings.neckBand },
    aim: { kind: 'choice', label: 'The tip ends at', choices: aims },
    units: { kind: 'choice', label: 'Reads', choices: units, optional: 'as the studio does' },
    cautions: { kind: 'choices', label: 'Cautions', choices: cautions },
  },
  fresh: {
    name: '',
    nickname: '',
    note: '',
    email: '',
    phone: '',
    address: '',
    measures: [],
    front: 'mens',
    blade: 'right',
    crossingGapMm: 0,
    beltHeightMm: requestDefaults.client.beltHeightMm,
    tiedBy: 'client',
    practice: 'some',
    ownKnot: null,
    meansWindsor: null,
    meansHalfWindsor: null,
    symmetry: 'either',
    dimple: 'off-centre',
    release: 'either',
    neckBand: 'hidden',
    aim: 'belt-top',
    units: null,
    cautions: [],
  },
  titleOf: (record) => ('name' in record ? String(record.name) : ''),
};

const { label: _styleLabel, pointsHeld: _held, ...semiSpread } = collarStyles['semi-spread'];

const shirts: KindOf<'shirts'> = {
  one: 'shirt',
  many: 'shirts',
  part: 'shirt',
  fields: {
    label,
    clientId: owner,
    collarStyle: { kind: 'choice', label: 'Collar', choices: collarStyles },
    collarSpreadMm: { kind: 'length', measure: measures.shirt.collarSpreadMm },
    collarPointMm: { kind: 'length', measure: measures.shirt.collarPointMm },
    tieSpaceMm: { kind: 'length', measure: measures.shirt.tieSpaceMm },
    standMm: { kind: 'length', measure: measures.shirt.standMm, optional: true },
    collarAllowanceMm: { kind: 'length', measure: measures.shirt.collarAllowanceMm },
    buttonsMm: { kind: 'buttons', label: 'Buttons below the collar' },
    colour: { kind: 'colour', label: 'Colour' },
    pattern: { kind: 'choice', label: 'Pattern', choices: patterns },
    secondColour: { kind: 'colour', label: 'Colour of the pattern', optional: true },
    note,
  },
  fresh: {
    label: '',
    clientId: null,
    note: '',
    collarStyle: 'semi-spread',
    ...semiSpread,
    collarAllowanceMm: requestDefaults.shirt.collarAllowanceMm,
    buttonsMm: requestDefaults.shirt.buttonsMm,
    colour: '#f6f7f9',
    pattern: 'solid',
    secondColour: null,
  },
  titleOf: titleByLabel,
};

const jackets: KindOf<'jackets'> = {
  one: 'jacket',
  many: 'jackets',
  part: 'jacket',
  fields: {
    label,
    clientId: owner,
    lapelMm: { kind: 'length', measure: measures.jacket.lapelMm },
    lapelKind: { kind: 'choice', label: 'Lapel', choices: lapelKinds },
    cut: { kind: 'choice', label: 'Cut', choices: jacketCuts },
    buttoningMm: { kind: 'length', measure: measures.jacket.buttoningMm, optional: true },
    worn: { kind: 'choice', label: 'Worn', choices: jacketWorn },
    waistcoat: { kind: 'flag', label: 'With a waistcoat' },
    colour: { kind: 'colour', label: 'Colour' },
    note,
  },
  fresh: {
    label: '',
    clientId: null,
    note: '',
    lapelMm: 85,
    lapelKind: 'notch',
    cut: 'single',
    buttoningMm: null,
    worn: 'open',
    waistcoat: false,
    colour: '#2b3444',
  },
  titleOf: titleByLabel,
};

const ties: KindOf<'ties'> = {
  one: 'tie',
  many: 'ties',
  part: 'tie',
  fields: {
    label,
    clientId: owner,
    state: { kind: 'choice', label: 'Where it is', choices: tieStates },
    outWith: { kind: 'reference', label: 'Out with', to: 'clients', optional: 'nobody' },
    lengthMm: { kind: 'length', measure: measures.tie.lengthMm },
    bladeMm: { kind: 'length', measure: measures.tie.bladeMm },
    thicknessMm: { kind: 'length', measure: measures.tie.thicknessMm },
    neckMm: { kind: 'length', measure: measures.tie.neckMm },
    neckAtMm: { kind: 'length', measure: measures.tie.neckAtMm },
    tailMm: { kind: 'length', measure: measures.tie.tailMm },
    keeperMm: { kind: 'length', measure: measures.tie.keeperMm },
    profile: { kind: 'profile', label: 'Widths along it' },
    fabric: { kind: 'choice', label: 'Fabric', choices: fabrics },
    construction: { kind: 'choice', label: 'Made up', choices: constructions },
    ends: { kind: 'choice', label: 'Ends', choices: tieEnds },
    pattern: { kind: 'choice', label: 'Pattern', choices: patterns },
    colours: { kind: 'colours', label: 'Colours' },
    shares: { kind: 'shares', label: 'Shares' },
    note,
  },
  fresh: {
    ...supposeTie({ lengthMm: 1470, bladeMm: 80, thicknessMm: 3 }),
    label: '',
    clientId: null,
    note: '',
    construction: 'three-fold',
    ends: 'pointed',
    profile: [],
    colours: ['#34506b'],
    shares: null,
    state: 'rack',
    outWith: null,
  },
  titleOf: titleByLabel,
};

const squares: KindOf<'squares'> = {
  one: 'pocket square',
  many: 'pocket squares',
  fields: {
    label,
    clientId: owner,
    fabric: { kind: 'choice', label: 'Cloth', choices: fabrics },
    colours: { kind: 'colours', label: 'Colours' },
    shares: { kind: 'shares', label: 'Shares' },
    tieId: { kind: 'reference', label: 'Sold in a set with', to: 'ties', optional: 'no tie' },
    note,
  },
  fresh: { label: '', clientId: null, note: '', fabric: 'linen', colours: ['#fbfbfa'], shares: null, tieId: null },
  titleOf: titleByLabel,
};

const outfits: KindOf<'outfits'> = {
  one: 'outfit',
  many: 'outfits',
  fields: {
    label,
    clientId: { kind: 'reference', label: 'Client', to: 'clients' },
    shirtId: { kind: 'reference', label: 'Shirt', to: 'shirts' },
    jacketId: { kind: 'reference', label: 'Jacket', to: 'jackets', optional: 'no jacket' },
    squareId: { kind: 'reference', label: 'Pocket square', to: 'squares', optional: 'none' },
    occasion: line('Occasion'),
    dressRule: { kind: 'choice', label: 'Dress rule', choices: dressRules },
    beltLineMm: { kind: 'length', measure: { ...measures.client.frontDropMm, label: 'Belt line, in these trousers' }, optional: true },
    beltHeightMm: { kind: 'length', measure: measures.client.beltHeightMm, optional: true },
    note,
  },
  fresh: {
    label: '',
    clientId: '',
    note: '',
    shirtId: '',
    jacketId: null,
    squareId: null,
    occasion: '',
    dressRule: 'business',
    beltLineMm: null,
    beltHeightMm: null,
  },
  titleOf: titleByLabel,
};

const namings: KindOf<'namings'> = {
  one: 'knot’s name',
  many: 'knots’ names',
  fields: { label, word: { kind: 'knot', label: 'Knot', required: true }, note },
  fresh: { label: '', note: '', word: '' },
  titleOf: titleByLabel,
};

export const kinds = { clients, shirts, jackets, ties, squares, outfits, namings } as const;
/** In the order in which they lean on each other. */
export const kindCodes: readonly Kind[] = ['clients', 'shirts', 'jackets', 'ties', 'squares', 'outfits', 'namings'];

export function isKind(text: string | undefined): text is Kind {
  return kindCodes.some((kind) => kind === text);
}

/** The fields of a kind as a plain list. */
export function fieldsOf(kind: Kind): readonly (readonly [key: string, field: Field])[] {
  return Object.entries(kinds[kind].fields);
}
