import type { Fitting, WornColours } from '../../contract/fitting.ts';
import { type KnownClient, planClient, planShirt } from '../../contract/records/asWorn.ts';
import type { ClientRecord, JacketRecord, OutfitRecord, ShirtRecord, TieRecord, Wardrobe } from '../../contract/records/records.ts';
import { type PlanRequest, requestDefaults, supposeTie, type Tie } from '../../core/index.ts';
import { type AimCode, aimCodes, aimOn } from '../../core/plan/aims.ts';
import { usualTie, usualWearer } from '../../core/usual.ts';
import type { LengthEntry } from '../ui/entry.ts';

/** A plan's question as it stands in the fields: lengths may be text that is none yet. */
export interface QuestionEntries {
  client: Record<'heightMm' | 'neckMm' | 'frontDropMm' | 'crossingGapMm' | 'beltHeightMm', LengthEntry> &
    Pick<PlanRequest['client'], 'blade' | 'frontDropHow' | 'front' | 'openLoopMm' | 'crossedLoopMm'>;
  shirt: {
    collarPointMm: LengthEntry;
    collarSpreadMm: LengthEntry;
    tieSpaceMm: LengthEntry;
    collarAllowanceMm: LengthEntry;
    buttonsMm: readonly number[] | string;
    pointsHeld: boolean;
  };
  jacket:
    | (Record<'lapelMm' | 'buttoningMm', LengthEntry> &
        Pick<NonNullable<PlanRequest['jacket']>, 'waistcoat' | 'worn' | 'lapelKind' | 'cut'>)
    | null;
  tie: Record<'lengthMm' | 'bladeMm' | 'thicknessMm' | 'neckMm' | 'neckAtMm' | 'tailMm' | 'keeperMm', LengthEntry> &
    Pick<PlanRequest['tie'], 'kind' | 'fabric' | 'pattern' | 'ends' | 'profile'>;
  aim: { offsetMm: LengthEntry; aboveMm: LengthEntry; belowMm: LengthEntry };
  liking: PlanRequest['liking'];
  rules: PlanRequest['rules'];
  search: PlanRequest['search'];
  /** What was known beyond the formulas when it was saved. */
  calibration?: PlanRequest['calibration'];
}

interface Piece {
  id: string | null;
  label: string;
}

/** Everything that stands at hand for a fitting. */
export interface AtHand {
  client: Piece;
  /** What the client is dressed for; `null` when the pieces were put together here. */
  outfit: Piece | null;
  shirt: Piece;
  jacket: Piece | null;
  tie: Piece;
  colours: WornColours;
  aim: AimCode | 'own';
  question: QuestionEntries;
  /** The knot chosen by hand; `null` follows the best match. */
  knot: string | null;
  note: string;
}

const usualAim: AimCode = 'finger-above';
const walkIn: KnownClient = { ...usualWearer, ...requestDefaults.client };
const anyTie = supposeTie(usualTie);

/** What stands at hand with the wardrobe's client, or with usual measures where nothing is kept yet. */
export function freshAtHand(wardrobe: Wardrobe): AtHand {
  const { liking, rules, search } = requestDefaults;
  const { person } = wardrobe.studio;
  const bare: AtHand = {
    client: { id: null, label: 'Walk-in' },
    outfit: null,
    shirt: { id: null, label: 'A shirt' },
    jacket: null,
    tie: { id: null, label: 'A tie' },
    colours: { tie: [], shirt: null, jacket: null },
    aim: usualAim,
    question: {
      client: clientEntries(person ? { ...walkIn, blade: person.blade, crossingGapMm: person.gapMm } : walkIn),
      shirt: shirtEntries(requestDefaults.shirt),
      jacket: null,
      tie: tieEntries(anyTie),
      aim: aimOn(usualAim, walkIn.beltHeightMm),
      liking,
      rules,
      search,
    },
    knot: null,
    note: '',
  };
  const dressed = wardrobe.client ? withClient(bare, wardrobe.client, wardrobe) : bare;
  return wardrobe.ties[0] && dressed.tie.id === null ? withTie(dressed, wardrobe.ties[0]) : dressed;
}

/** What stood at hand when a fitting was saved. */
export function atHandOfFitting(fitting: Fitting): AtHand {
  const { request } = fitting;
  const { beltHeightMm } = request.client;
  return {
    client: { id: fitting.clientId, label: fitting.clientName },
    outfit: null,
    shirt: { id: fitting.shirtId, label: fitting.shirtLabel },
    jacket: request.jacket && fitting.jacketLabel ? { id: fitting.jacketId, label: fitting.jacketLabel } : null,
    tie: { id: fitting.tieId, label: fitting.tieLabel },
    colours: fitting.cloth,
    aim: aimCodes.find((code) => sameAim(aimOn(code, beltHeightMm), request.aim)) ?? 'own',
    question: {
      client: clientEntries(request.client),
      shirt: shirtEntries(request.shirt),
      jacket: request.jacket && jacketEntries(request.jacket),
      tie: tieEntries(request.tie),
      aim: request.aim,
      liking: request.liking,
      rules: request.rules,
      search: request.search,
      calibration: request.calibration,
    },
    knot: fitting.knot,
    note: fitting.note,
  };
}

function sameAim(a: PlanRequest['aim'], b: PlanRequest['aim']): boolean {
  return a.offsetMm === b.offsetMm && a.aboveMm === b.aboveMm && a.belowMm === b.belowMm;
}

/**
 * Takes a client with their preferences and what is their own: the first outfit, or else the first of
 * their shirts and jackets; their first tie.
 */
export function withClient(values: AtHand, client: ClientRecord, { studio, outfits, shirts, jackets, ties }: Wardrobe): AtHand {
  const own = <T extends { readonly clientId: string | null }>(all: readonly T[]) => all.find(({ clientId }) => clientId === client.id);
  const { symmetry, release, neckBand, practice, ownKnot } = client;
  const also = ownKnot ? [ownKnot] : [];
  let next: AtHand = {
    ...values,
    client: { id: client.id, label: client.name },
    outfit: null,
    question: {
      ...values.question,
      client: clientEntries(planClient(client, undefined, studio.person)),
      liking: { symmetry, release, neckBand, practice },
      search: { ...values.question.search, also },
    },
    knot: ownKnot,
    note: '',
  };
  const shirt = own(shirts);
  const tie = own(ties);
  const [outfit] = outfits;
  if (shirt) next = withShirt(next, shirt);
  next = withJacket(next, own(jackets) ?? null);
  if (outfit) next = withOutfit(next, outfit, client, { studio, shirts, jackets });
  if (tie) next = withTie(next, tie);
  return withAim(next, client.aim);
}

/** Puts an outfit of the client on, with the belt line of its trousers. */
export function withOutfit(
  values: AtHand,
  outfit: OutfitRecord,
  client: ClientRecord,
  { studio, shirts, jackets }: Pick<Wardrobe, 'studio' | 'shirts' | 'jackets'>,
): AtHand {
  const shirt = shirts.find(({ id }) => id === outfit.shirtId);
  const jacket = jackets.find(({ id }) => id === outfit.jacketId) ?? null;
  const inShirt = shirt ? withShirt(values, shirt) : values;
  const dressed = withJacket(inShirt, jacket);
  return {
    ...dressed,
    outfit: { id: outfit.id, label: outfit.label },
    question: { ...dressed.question, client: clientEntries(planClient(client, outfit, studio.person)) },
  };
}

export function withShirt(values: AtHand, shirt: ShirtRecord): AtHand {
  return {
    ...values,
    outfit: null,
    shirt: { id: shirt.id, label: shirt.label },
    colours: { ...values.colours, shirt: shirt.colour },
    question: { ...values.question, shirt: shirtEntries(planShirt(shirt)) },
  };
}

/** `null` takes the jacket off. */
export function withJacket(values: AtHand, jacket: JacketRecord | null): AtHand {
  return {
    ...values,
    outfit: null,
    jacket: jacket && { id: jacket.id, label: jacket.label },
    colours: { ...values.colours, jacket: jacket?.colour ?? null },
    question: { ...values.question, jacket: jacket && jacketEntries(jacket) },
  };
}

export function withTie(values: AtHand, tie: TieRecord): AtHand {
  return {
    ...values,
    tie: { id: tie.id, label: tie.label },
    colours: { ...values.colours, tie: tie.colours },
    question: { ...values.question, tie: tieEntries(tie) },
  };
}

export function withAim(values: AtHand, code: AimCode): AtHand {
  const { beltHeightMm } = values.question.client;
  const onBelt = typeof beltHeightMm === 'number' ? beltHeightMm : requestDefaults.client.beltHeightMm;
  return { ...values, aim: code, question: { ...values.question, aim: aimOn(code, onBelt) } };
}

function clientEntries(client: KnownClient): QuestionEntries['client'] {
  const { heightMm, neckMm, ...rest } = client;
  // A measure that was never taken is an empty field, which says so; only the front drop can be done without.
  return { ...rest, heightMm: heightMm ?? '', neckMm: neckMm ?? '' };
}

function shirtEntries(shirt: PlanRequest['shirt']): QuestionEntries['shirt'] {
  const { collarPointMm, collarSpreadMm, tieSpaceMm, collarAllowanceMm, buttonsMm, pointsHeld } = shirt;
  return { collarPointMm, collarSpreadMm, tieSpaceMm, collarAllowanceMm, buttonsMm, pointsHeld };
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
  const { lengthMm, bladeMm, thicknessMm, neckMm, neckAtMm, tailMm, keeperMm, fabric, pattern, ends, profile } = tie;
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
    ...(ends && { ends }),
    ...(profile && { profile }),
  };
}
