/** What a person likes and is used to, where it weighs in the choice of a knot. */
export const likings = {
  symmetry: {
    either: { label: 'either' },
    level: { label: 'level and formal' },
    relaxed: { label: 'a relaxed lean' },
  },
  release: {
    either: { label: 'does not matter' },
    wanted: { label: 'falls open when drawn' },
  },
  neckBand: {
    hidden: { label: 'must not show' },
    tolerated: { label: 'may show' },
  },
  practice: {
    new: { label: 'new to it' },
    some: { label: 'some practice' },
    fluent: { label: 'fluent' },
  },
} as const;

export interface Liking {
  readonly symmetry: keyof typeof likings.symmetry;
  readonly release: keyof typeof likings.release;
  readonly neckBand: keyof typeof likings.neckBand;
  readonly practice: keyof typeof likings.practice;
}

/** Habits that the tying and its finish follow, though not the choice of a knot. */
export const finishing = {
  tiedBy: {
    client: { label: 'himself' },
    stylist: { label: 'the stylist' },
    helper: { label: 'a helper' },
  },
  dimple: {
    centred: { label: 'dead centre' },
    'off-centre': { label: 'a hair off centre' },
    none: { label: 'none' },
  },
} as const;

export type TiedBy = keyof typeof finishing.tiedBy;
export type DimpleLiking = keyof typeof finishing.dimple;

/** What to watch with a person, and what is then said at the bench. */
export const cautions = {
  'tight-collar': {
    label: 'dislikes tight collars',
    says: 'Dislikes tight collars: leave the button until last, and ask before you snug it.',
  },
  'small-child': {
    label: 'small child',
    says: 'A small child: never left alone with a tied tie, and an elastic or breakaway one is the better choice.',
  },
  machinery: {
    label: 'works near machinery',
    says: 'Works near machinery: tie off, or a breakaway one, wherever something turns. The house’s safety rules decide.',
  },
} as const;

export type Caution = keyof typeof cautions;
