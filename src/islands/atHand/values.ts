import equal from 'fast-deep-equal';
import type { Fitting, WornColours } from '../../contract/fitting.ts';
import { type KnownClient, planClient, planShirt } from '../../contract/records/asWorn.ts';
import { draftLabels, draftPiece } from '../../contract/records/draftPieces.ts';
import type {
  ClientRecord,
  JacketRecord,
  OutfitRecord,
  RegulationRecord,
  ShirtRecord,
  TieRecord,
  Wardrobe,
} from '../../contract/records/records.ts';
import { type PlanRequest, requestDefaults, type Tie } from '../../core/index.ts';
import { type AimCode, aimCodes, aimOn } from '../../core/plan/aims.ts';
import type { Attempt } from '../../core/start/attempts.ts';
import type { TiedOnCode } from '../../core/start/tiedOn.ts';
import { usualWearer } from '../../core/usual.ts';
import type { LengthEntry } from '../ui/entry.ts';
import { type CheckEntries, unchecked } from './checkEntries.ts';
import type { Beside } from './pieces.ts';

/** A plan's question as it stands in the fields: lengths may be text that is none yet. */
export interface QuestionEntries {
  client: Record<'heightMm' | 'neckMm' | 'frontDropMm' | 'crossingGapMm' | 'beltHeightMm', LengthEntry> &
    Pick<PlanRequest['client'], 'blade' | 'frontDropHow' | 'front' | 'openLoopMm' | 'crossedLoopMm'>;
  shirt: {
    collarPointMm: LengthEntry;
    collarSpreadMm: LengthEntry;
    tieSpaceMm: LengthEntry;
    collarAllowanceMm: LengthEntry;
    standMm: LengthEntry;
    buttonsMm: readonly number[] | string;
    pointsHeld: boolean;
  };
  jacket:
    | (Record<'lapelMm' | 'buttoningMm', LengthEntry> &
        Pick<NonNullable<PlanRequest['jacket']>, 'waistcoat' | 'worn' | 'lapelKind' | 'cut'>)
    | null;
  tie: Record<'lengthMm' | 'bladeMm' | 'thicknessMm' | 'neckMm' | 'neckAtMm' | 'tailMm' | 'keeperMm', LengthEntry> &
    Pick<PlanRequest['tie'], 'kind' | 'fabric' | 'pattern' | 'motifMm' | 'ends' | 'profile'>;
  aim: { offsetMm: LengthEntry; aboveMm: LengthEntry; belowMm: LengthEntry; level?: boolean };
  occasion: PlanRequest['occasion'];
  liking: PlanRequest['liking'];
  rules: PlanRequest['rules'];
  search: PlanRequest['search'];
  /** What was known beyond the formulas when it was saved. */
  calibration?: PlanRequest['calibration'];
}

export interface Piece {
  id: string | null;
  label: string;
  /** Whether its measures are those such a piece usually has. */
  draft: boolean;
}

/** What stands fast while the rest is sought: this tie, with every knot; this knot, with every tie; or the outfit alone. */
export const givens = ['tie', 'knot', 'outfit'] as const;
export type GivenCode = (typeof givens)[number];

/** Everything that stands at hand for a fitting. */
export interface AtHand {
  client: Omit<Piece, 'draft'>;
  /** What the client is dressed for; `null` when the pieces were put together here. */
  outfit: Omit<Piece, 'draft'> | null;
  /** What the occasion is prescribed by: it stays while single pieces are exchanged. */
  regulation: Omit<Piece, 'draft'> | null;
  shirt: Piece;
  jacket: Piece | null;
  tie: Piece;
  colours: WornColours;
  aim: AimCode | 'own';
  question: QuestionEntries;
  given: GivenCode;
  /** The knot chosen by hand; `null` follows the best match. */
  knot: string | null;
  note: string;
  /** The tyings of this fitting in their order, and starts known to work. */
  attempts: readonly Attempt[];
  /** How it came out, as far as it was looked at. */
  check: CheckEntries;
  /** On whom it is tied. */
  tiedOn: TiedOnCode;
  /** What stands beside it to be compared. */
  beside: Beside | null;
  /** What was exchanged along with the last choice, so that nothing changes quietly. */
  told: string | null;
}

/** Whether two are the same fitting: how it came out is looked at afterwards, and changes nothing of it. */
export function isSameFitting(a: AtHand, b: AtHand): boolean {
  return (Object.keys(a) as (keyof AtHand)[]).every((key) => key === 'check' || key === 'told' || equal(a[key], b[key]));
}

const usualAim: AimCode = 'finger-above';
const walkIn: KnownClient = { ...usualWearer, ...requestDefaults.client, heightMm: null, neckMm: null };
const [usualShirt = ''] = draftLabels('shirts');
const [usualTieLabel = ''] = draftLabels('ties');
const draftShirt = draftPiece('shirts', usualShirt, null, '');
const draftTie = draftPiece('ties', usualTieLabel, null, '');

/** What stands at hand with the wardrobe's client, or with usual measures where nothing is kept yet. */
export function freshAtHand(wardrobe: Wardrobe): AtHand {
  const { occasion, liking, rules, search } = requestDefaults;
  const { person } = wardrobe.studio;
  const bare: AtHand = {
    client: { id: null, label: 'Walk-in' },
    outfit: null,
    regulation: null,
    shirt: pieceOf(draftShirt),
    jacket: null,
    tie: pieceOf(draftTie),
    colours: { tie: draftTie.colours, shirt: draftShirt.colour, jacket: null, trousers: null },
    aim: usualAim,
    question: {
      client: clientEntries(person ? { ...walkIn, blade: person.blade, crossingGapMm: person.gapMm } : walkIn),
      shirt: shirtEntries(planShirt(draftShirt)),
      jacket: null,
      tie: tieEntries(draftTie),
      aim: aimOn(usualAim, walkIn.beltHeightMm),
      occasion,
      liking,
      rules,
      search,
    },
    given: 'tie',
    knot: null,
    note: '',
    attempts: [],
    check: unchecked,
    tiedOn: 'self',
    beside: null,
    told: null,
  };
  const dressed = wardrobe.client ? withClient(bare, wardrobe.client, wardrobe) : bare;
  const [tie] = wardrobe.ties;
  return { ...(tie && dressed.tie.id === null ? withTie(dressed, tie) : dressed), told: null };
}

/** What stood at hand when a fitting was saved. */
export function atHandOfFitting(fitting: Fitting): AtHand {
  const { request } = fitting;
  const { beltHeightMm } = request.client;
  return {
    client: { id: fitting.clientId, label: fitting.clientName },
    outfit: null,
    regulation: null,
    shirt: { id: fitting.shirtId, label: fitting.shirtLabel, draft: false },
    jacket: request.jacket && fitting.jacketLabel ? { id: fitting.jacketId, label: fitting.jacketLabel, draft: false } : null,
    tie: { id: fitting.tieId, label: fitting.tieLabel, draft: false },
    colours: fitting.cloth,
    aim: aimCodes.find((code) => sameAim(aimOn(code, beltHeightMm), request.aim)) ?? 'own',
    question: {
      client: clientEntries(request.client),
      shirt: shirtEntries(request.shirt),
      jacket: request.jacket && jacketEntries(request.jacket),
      tie: tieEntries(request.tie),
      aim: request.aim,
      occasion: request.occasion,
      liking: request.liking,
      rules: request.rules,
      search: request.search,
      // What its own tyings taught is worked out from them again.
      ...(fitting.attempts.length === 0 && { calibration: request.calibration }),
    },
    given: 'tie',
    knot: fitting.knot,
    note: fitting.note,
    attempts: fitting.attempts,
    check: unchecked,
    tiedOn: 'self',
    beside: null,
    told: null,
  };
}

function sameAim(a: PlanRequest['aim'], b: PlanRequest['aim']): boolean {
  return a.offsetMm === b.offsetMm && a.aboveMm === b.aboveMm && a.belowMm === b.belowMm && (a.level ?? false) === (b.level ?? false);
}

/**
 * Takes a client with their preferences, in what is theirs: the first outfit, or else the first of their shirts and
 * jackets. The tie at hand stays, and so does a knot that is held. Nobody is dressed in what is another client's own:
 * that goes for the client's own, or the studio's, or a draft, and what was exchanged is told.
 */
export function withClient(values: AtHand, client: ClientRecord, wardrobe: Wardrobe): AtHand {
  const { studio, outfits, shirts, jackets, ties } = wardrobe;
  const own = <T extends { readonly clientId: string | null }>(all: readonly T[]) => all.find(({ clientId }) => clientId === client.id);
  const { symmetry, release, neckBand, dimple, practice, ownKnot } = client;
  const held = values.given === 'knot' ? values.knot : null;
  let next: AtHand = {
    ...values,
    client: { id: client.id, label: client.name },
    outfit: null,
    regulation: null,
    colours: { ...values.colours, trousers: null },
    question: {
      ...values.question,
      client: clientEntries(planClient(client, undefined, studio.person)),
      occasion: requestDefaults.occasion,
      // What was prescribed for another client's occasion goes with it.
      rules: values.regulation ? requestDefaults.rules : values.question.rules,
      liking: { symmetry, release, neckBand, dimple, practice },
      search: { ...values.question.search, also: [...new Set([held, ownKnot].filter((knot) => knot !== null))] },
    },
    knot: held ?? ownKnot,
    note: '',
    // What was seen of one client is not another's.
    attempts: [],
    check: unchecked,
    tiedOn: client.tiedBy === 'client' ? 'self' : 'facing',
  };
  next = withShirt(next, own(shirts) ?? shirts.find(({ id }) => id === values.shirt.id) ?? draftShirt);
  next = withAim(withJacket(next, own(jackets) ?? null), client.aim);
  const [outfit] = outfits;
  if (outfit) next = withOutfit(next, outfit, client, wardrobe);
  // A tie without a record stays as it was typed in; one that hangs in another client's wardrobe does not go along.
  const isHeld = outfit !== undefined && ties.some(({ id }) => id === outfit.tieId);
  const isTheirs = isHeld || (values.tie.id === null ? values.tie.label !== draftTie.label : ties.some(({ id }) => id === values.tie.id));
  if (isTheirs) return { ...next, told: null };
  const tie = own(ties) ?? ties[0] ?? draftTie;
  const told = values.tie.id === null ? null : `${values.tie.label} belongs to another client: ${tie.label} instead.`;
  return { ...withTie(next, tie), told };
}

/** Holds a knot, which is then looked at whatever else is asked for. */
export function withKnot(values: AtHand, knot: string): AtHand {
  const { search } = values.question;
  return { ...values, knot, question: { ...values.question, search: { ...search, also: [...new Set([...search.also, knot])] } } };
}

/** Puts an outfit of the client on, with the belt line of its trousers. */
export function withOutfit(
  values: AtHand,
  outfit: OutfitRecord,
  client: ClientRecord,
  { studio, shirts, jackets, ties, regulations }: Pick<Wardrobe, 'studio' | 'shirts' | 'jackets' | 'ties' | 'regulations'>,
): AtHand {
  const shirt = shirts.find(({ id }) => id === outfit.shirtId);
  const jacket = jackets.find(({ id }) => id === outfit.jacketId) ?? null;
  const inShirt = shirt ? withShirt(values, shirt) : values;
  const inJacket = withJacket(inShirt, jacket);
  const tie = ties.find(({ id }) => id === outfit.tieId);
  const inTie = tie ? withTie(inJacket, tie) : inJacket;
  const regulation = regulations.find(({ id }) => id === outfit.regulationId);
  // An occasion's own aim goes before the client's, and a regulation's before both.
  const usual = { ...client, aim: outfit.aim ?? client.aim };
  const asked = outfit.aim ? withAim(inTie, outfit.aim) : inTie;
  const dressed = regulation || values.regulation ? withRegulation(asked, regulation ?? null, usual) : asked;
  const knot = outfit.knot ?? regulation?.knot ?? null;
  const now: AtHand = {
    ...dressed,
    colours: { ...dressed.colours, trousers: outfit.trousersColour },
    outfit: { id: outfit.id, label: outfit.label },
    question: {
      ...dressed.question,
      client: clientEntries(planClient(client, outfit, studio.person)),
      occasion: { ...dressed.question.occasion, dressCode: outfit.dressRule },
    },
  };
  return knot === null ? now : withKnot(now, knot);
}

/** How a client likes it where nothing is prescribed; a walk-in as most do. */
export function ownWaysOf(client: ClientRecord | null): Pick<ClientRecord, 'aim' | 'dimple'> {
  return client ?? { aim: usualAim, dimple: requestDefaults.liking.dimple };
}

/**
 * Tip, dimple, pattern, jacket and rules as a regulation has them; what it leaves open, or another one had prescribed
 * before, goes by the client's own ways. `null` takes it off.
 */
export function withRegulation(values: AtHand, now: RegulationRecord | null, client: Pick<ClientRecord, 'aim' | 'dimple'>): AtHand {
  const { rules } = requestDefaults;
  const aimed = withAim(values, now?.aim ?? client.aim);
  const { jacket, liking, occasion } = aimed.question;
  return {
    ...aimed,
    regulation: now && { id: now.id, label: now.label },
    question: {
      ...aimed.question,
      jacket: jacket && { ...jacket, worn: now?.jacketWorn ?? jacket.worn },
      liking: { ...liking, dimple: now?.dimple ?? client.dimple },
      occasion: { ...occasion, patterns: now?.patterns ?? null },
      rules: { collarRule: now?.collarRule ?? rules.collarRule, lapelRule: now?.lapelRule ?? rules.lapelRule },
    },
  };
}

export function withShirt(values: AtHand, shirt: ShirtRecord): AtHand {
  return {
    ...values,
    outfit: null,
    shirt: pieceOf(shirt),
    colours: { ...values.colours, shirt: shirt.colour },
    question: { ...values.question, shirt: shirtEntries(planShirt(shirt)) },
  };
}

/** `null` takes the jacket off. Where the occasion is prescribed, another one is worn as the one before was. */
export function withJacket(values: AtHand, jacket: JacketRecord | null): AtHand {
  const entries = jacket && jacketEntries(jacket);
  const before = values.regulation ? values.question.jacket : null;
  return {
    ...values,
    outfit: null,
    jacket: jacket && pieceOf(jacket),
    colours: { ...values.colours, jacket: jacket?.colour ?? null },
    question: { ...values.question, jacket: entries && before ? { ...entries, worn: before.worn } : entries },
  };
}

export function withTie(values: AtHand, tie: TieRecord): AtHand {
  return {
    ...values,
    tie: pieceOf(tie),
    colours: { ...values.colours, tie: tie.colours },
    question: { ...values.question, tie: tieEntries(tie) },
  };
}

export function withAim(values: AtHand, code: AimCode): AtHand {
  const { beltHeightMm } = values.question.client;
  const onBelt = typeof beltHeightMm === 'number' ? beltHeightMm : requestDefaults.client.beltHeightMm;
  return { ...values, aim: code, question: { ...values.question, aim: aimOn(code, onBelt) } };
}

/** What is not kept yet has no id of its own. */
function pieceOf({ id, label, draft }: Pick<ShirtRecord, 'id' | 'label' | 'draft'>): Piece {
  return { id: id === '' ? null : id, label, draft };
}

/** A measure that was never taken is an empty field, and is estimated. */
function clientEntries(client: KnownClient): QuestionEntries['client'] {
  return { ...client };
}

function shirtEntries(shirt: PlanRequest['shirt']): QuestionEntries['shirt'] {
  const { collarPointMm, collarSpreadMm, tieSpaceMm, collarAllowanceMm, standMm, buttonsMm, pointsHeld } = shirt;
  return { collarPointMm, collarSpreadMm, tieSpaceMm, collarAllowanceMm, standMm, buttonsMm, pointsHeld };
}

function jacketEntries({
  lapelMm,
  buttoningMm,
  waistcoat,
  worn,
  lapelKind,
  cut,
}: NonNullable<PlanRequest['jacket']>): QuestionEntries['jacket'] {
  return { lapelMm, buttoningMm, waistcoat, worn, lapelKind, cut };
}

function tieEntries(tie: Tie): QuestionEntries['tie'] {
  const { lengthMm, bladeMm, thicknessMm, neckMm, neckAtMm, tailMm, keeperMm, fabric, pattern, motifMm, ends, profile } = tie;
  return {
    kind: 'long-tie',
    lengthMm,
    bladeMm,
    thicknessMm,
    neckMm,
    neckAtMm,
    tailMm,
    keeperMm,
    fabric,
    pattern,
    motifMm: motifMm ?? null,
    ...(ends && { ends }),
    ...(profile && { profile }),
  };
}
