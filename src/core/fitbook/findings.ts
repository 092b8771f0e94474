/** What can be done at once about something that was found. */
export type RemedyKind = 'knot' | 'finish' | 'lay' | 'piece';

/** Something an inspection finds wrong, why it comes about, and what helps. */
export interface Finding {
  readonly label: string;
  /** The same where what is looked at stands beside it. */
  readonly short: string;
  readonly cause: string;
  readonly remedy: string;
  readonly kind: RemedyKind;
}

/** The one table of faults; where the tip ended is judged by its own figure. */
export const findings = {
  'tail-below-blade': {
    label: 'tail longer than the blade',
    short: 'longer than the blade',
    cause: 'too few moves for this client and tie',
    remedy: 'A knot of more moves, or an extra turn.',
    kind: 'knot',
  },
  'tail-short-of-keeper': {
    label: 'tail does not reach the keeper',
    short: 'short of the keeper',
    cause: 'too many moves, or too short a tie',
    remedy: 'A knot of fewer moves or a longer tie; for now, tuck the tail between the shirt buttons.',
    kind: 'knot',
  },
  'leans-left': {
    label: 'leans to the wearer’s left',
    short: 'leans to the wearer’s left',
    cause: 'an asymmetric knot, first turns not flattened, or the tail not under the middle',
    remedy: 'A symmetric knot; or hold the tail in the middle while sliding the knot up.',
    kind: 'knot',
  },
  'leans-right': {
    label: 'leans to the wearer’s right',
    short: 'to the wearer’s right',
    cause: 'an asymmetric knot, first turns not flattened, or the tail not under the middle',
    remedy: 'A symmetric knot; or hold the tail in the middle while sliding the knot up.',
    kind: 'knot',
  },
  'no-dimple': {
    label: 'no dimple',
    short: 'none',
    cause: 'slippery or busy fabric, or the blade pulled from the front',
    remedy: 'Lay the fold before tightening, and tighten by the tail.',
    kind: 'finish',
  },
  'dimple-off': {
    label: 'dimple off-centre',
    short: 'off-centre',
    cause: 'the fold slipped while the knot was tightened',
    remedy: 'Hold the fold with a finger until the knot is up.',
    kind: 'finish',
  },
  'double-dimple': {
    label: 'double dimple',
    short: 'double',
    cause: 'the blade gathered in two folds',
    remedy: 'Smooth the blade flat, then press in one fold.',
    kind: 'finish',
  },
  'band-beside-knot': {
    label: 'tie band shows beside the knot',
    short: 'band shows beside it',
    cause: 'knot too small for the collar’s opening',
    remedy: 'A larger knot, or a thicker or wider tie.',
    kind: 'knot',
  },
  'collar-swamped': {
    label: 'knot too large for the collar',
    short: 'too large for it',
    cause: 'too much fabric in the knot',
    remedy: 'A smaller knot, or a thinner tie.',
    kind: 'knot',
  },
  'band-around': {
    label: 'tie band shows at the back or sides',
    short: 'shows at back or sides',
    cause: 'collar leaf not turned down over it, or the tie twisted',
    remedy: 'Turn the collar down from the nape, and lay the band flat under it.',
    kind: 'finish',
  },
  'seam-shows': {
    label: 'seam or lining shows',
    short: 'seam shows',
    cause: 'the tie was laid wrong side out',
    remedy: 'Lay it as the knot’s first move asks.',
    kind: 'lay',
  },
  'layers-show': {
    label: 'layers show under the front band',
    short: 'layers show',
    cause: 'the front band is narrow or twisted',
    remedy: 'Spread the last front band over all that lies under it.',
    kind: 'finish',
  },
  bulge: {
    label: 'fabric bulges under the knot',
    short: 'bulges below',
    cause: 'no dimple was laid',
    remedy: 'Lay one, or choose an open-front finish on purpose.',
    kind: 'finish',
  },
  wrinkles: {
    label: 'wrinkles, or the tail out sideways',
    short: 'wrinkled',
    cause: 'layers not smoothed, or the tail twisted',
    remedy: 'Undo two moves and lay each band flat.',
    kind: 'finish',
  },
  shapeless: {
    label: 'a shapeless bundle',
    short: 'shapeless',
    cause: 'moves mixed up',
    remedy: 'Tie it step by step, in the right view.',
    kind: 'lay',
  },
  'gap-at-throat': {
    label: 'gap at the throat',
    short: 'gap',
    cause: 'the loop was not drawn up',
    remedy: 'Hold the tail and slide the knot up, with a finger’s room.',
    kind: 'finish',
  },
  'collar-bunched': {
    label: 'collar bunched, or stands away',
    short: 'collar bunched',
    cause: 'the loop too tight, or not drawn up',
    remedy: 'Leave a finger’s room, and button the points again.',
    kind: 'finish',
  },
  slips: {
    label: 'knot slips',
    short: 'slips',
    cause: 'smooth fabric with loose turns',
    remedy: 'A knot that holds by itself, or a tie with more texture.',
    kind: 'knot',
  },
  'not-in-keeper': {
    label: 'tail not through the keeper',
    short: 'not through it',
    cause: 'forgotten, or the tail too short for it',
    remedy: 'Put the tail through the keeper before the last snug.',
    kind: 'finish',
  },
  'not-pressed': {
    label: 'specks or creases',
    short: 'specks or creases',
    cause: 'shirt or tie was not ready',
    remedy: 'Brush both; press the shirt, never the tie.',
    kind: 'piece',
  },
} as const satisfies Record<string, Finding>;

export type FindingCode = keyof typeof findings;

/** One look of the inspection: what may be found there; nothing of it is in order. */
export interface Look {
  readonly label: string;
  /** What it looks like in order. */
  readonly fine: string;
  readonly findings: readonly FindingCode[];
}

/** In the order an eye goes, after the tip. */
export const looks = {
  tail: { label: 'Tail', fine: 'behind the blade', findings: ['tail-below-blade', 'tail-short-of-keeper'] },
  stand: { label: 'Knot', fine: 'straight', findings: ['leans-left', 'leans-right', 'shapeless', 'slips'] },
  dimple: { label: 'Dimple', fine: 'as wanted', findings: ['no-dimple', 'dimple-off', 'double-dimple'] },
  collar: { label: 'On the collar', fine: 'fits', findings: ['band-beside-knot', 'collar-swamped'] },
  band: { label: 'Band', fine: 'covered', findings: ['band-around', 'collar-bunched'] },
  fabric: { label: 'Fabric', fine: 'face out, smooth', findings: ['seam-shows', 'layers-show', 'bulge', 'wrinkles'] },
  throat: { label: 'Throat', fine: 'drawn up', findings: ['gap-at-throat'] },
  keeper: { label: 'Keeper', fine: 'tail through it', findings: ['not-in-keeper'] },
  ready: { label: 'Shirt and tie', fine: 'brushed, pressed', findings: ['not-pressed'] },
} as const satisfies Record<string, Look>;

export type LookCode = keyof typeof looks;

/** What somebody thought of the result. */
export const verdicts = {
  again: { label: 'just so again' },
  fine: { label: 'fine' },
  other: { label: 'otherwise next time' },
} as const;

export type VerdictCode = keyof typeof verdicts;

/** How a knot stood, seen from the front: a lean by eye, degrees toward the wearer’s right. */
export const leans = {
  level: { label: 'level', deg: 0 },
  'slight-left': { label: 'slightly to the wearer’s left', deg: -6 },
  'slight-right': { label: 'slightly to the wearer’s right', deg: 6 },
  'clear-left': { label: 'clearly to the wearer’s left', deg: -13 },
  'clear-right': { label: 'clearly to the wearer’s right', deg: 13 },
} as const;

export type LeanCode = keyof typeof leans;
