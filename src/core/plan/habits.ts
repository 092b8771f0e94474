/** What a person likes and is used to, where it weighs in the choice of a knot. */
export const likings = {
  symmetry: {
    either: { label: 'either' },
    level: { label: 'level and formal' },
    relaxed: { label: 'a relaxed lean' },
  },
  release: {
    either: { label: 'either way' },
    wanted: { label: 'pulls open' },
  },
  neckBand: {
    hidden: { label: 'must not show' },
    tolerated: { label: 'may show' },
  },
  dimple: {
    centred: { label: 'centred' },
    'off-centre': { label: 'slightly off-centre' },
    none: { label: 'none' },
  },
  practice: {
    new: { label: 'new to tying' },
    some: { label: 'some practice' },
    fluent: { label: 'fluent' },
  },
} as const;

export interface Liking {
  readonly symmetry: keyof typeof likings.symmetry;
  readonly release: keyof typeof likings.release;
  readonly neckBand: keyof typeof likings.neckBand;
  readonly dimple: keyof typeof likings.dimple;
  readonly practice: keyof typeof likings.practice;
}

/** Habits that the tying and its finish follow, though not the choice of a knot. */
export const finishing = {
  tiedBy: {
    client: { label: 'the client' },
    stylist: { label: 'the stylist' },
    helper: { label: 'a helper' },
  },
} as const;

export type TiedBy = keyof typeof finishing.tiedBy;
export type DimpleLiking = keyof typeof likings.dimple;

/** How whoever dresses others goes about it; habits differ, and each is right. */
export const dressing = {
  pins: {
    left: { label: 'left hand' },
    right: { label: 'right hand' },
    changes: { label: 'hands change' },
  },
  readsAt: {
    open: { label: 'hanging open' },
    crossed: { label: 'ends crossed' },
    snug: { label: 'snug at the button' },
  },
  tells: {
    below: { label: 'below the collar button' },
    button: { label: 'against a shirt button' },
    body: { label: 'against the body' },
    fingertip: { label: 'against the fingertip' },
    difference: { label: 'between the tips' },
    mark: { label: 'a mark on the tie' },
  },
  button: {
    first: { label: 'first' },
    last: { label: 'last' },
  },
  tightens: {
    blade: { label: 'blade, then tail' },
    tail: { label: 'tail, then blade' },
  },
  keeper: {
    before: { label: 'before the last snug' },
    after: { label: 'after the last snug' },
  },
  tucks: {
    keeper: { label: 'through the keeper, or not at all' },
    buttons: { label: 'between the top buttons if too short' },
    anywhere: { label: 'wherever it hides' },
  },
} as const;

export interface DressingHabits {
  readonly pins: keyof typeof dressing.pins;
  readonly readsAt: keyof typeof dressing.readsAt;
  readonly tells: keyof typeof dressing.tells;
  readonly button: keyof typeof dressing.button;
  readonly tightens: keyof typeof dressing.tightens;
  readonly keeper: keyof typeof dressing.keeper;
  readonly tucks: keyof typeof dressing.tucks;
}

/** What to watch with a person, and what is then said at the fitting. */
export const cautions = {
  'tight-collar': {
    label: 'dislikes tight collars',
    says: 'Dislikes tight collars: fasten the top button last, and ask before snugging it up.',
  },
  'small-child': {
    label: 'small child',
    says: 'Small child: never leave a child alone with a tied tie. Prefer an elastic or breakaway tie.',
  },
  machinery: {
    label: 'works near machinery',
    says: 'Works near machinery: no tie, or a breakaway tie. The workplace’s safety rules decide.',
  },
} as const;

export type Caution = keyof typeof cautions;
