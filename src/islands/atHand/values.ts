import type { ClothColours, Fitting } from '../../contract/fitting.ts';
import { type KnownClient, planClient, planShirt } from '../../contract/records/asWorn.ts';
import type { ClientRecord, JacketRecord, OutfitRecord, ShirtRecord, TieRecord, Wardrobe } from '../../contract/records/records.ts';
import { completeRequest, type PlanRequest, requestDefaults, supposeTie } from '../../core/index.ts';
import { type AimCode, aimCodes, aimOn } from '../../core/plan/aims.ts';
import type { Entry } from '../ui/MeasureField.tsx';

/** A plan's question as it stands in the fields: lengths may be text that is none yet. */
export interface QuestionEntries {
  client: Record<'heightMm' | 'neckMm' | 'frontDropMm' | 'crossingGapMm' | 'beltHeightMm', Entry> &
    Pick<PlanRequest['client'], 'blade' | 'frontDropHow' | 'front'>;
  shirt: {
    collarPointMm: Entry;
    collarSpreadMm: Entry;
    tieSpaceMm: Entry;
    collarAllowanceMm: Entry;
    buttonsMm: readonly number[] | string;
    pointsHeld: boolean;
  };
  jacket:
    | (Record<'lapelMm' | 'buttoningMm', Entry> & Pick<NonNullable<PlanRequest['jacket']>, 'waistcoat' | 'worn' | 'lapelKind' | 'cut'>)
    | null;
  tie: Record<'lengthMm' | 'bladeMm' | 'thicknessMm' | 'neckMm' | 'neckAtMm' | 'tailMm' | 'keeperMm', Entry> &
    Pick<PlanRequest['tie'], 'fabric' | 'pattern' | 'ends' | 'profile'>;
  aim: { offsetMm: Entry; aboveMm: Entry; belowMm: Entry };
  taste: PlanRequest['taste'];
}

interface Piece {
  id: string | null;
  label: string;
}

/** Everything that is set on the bench. */
export interface AtHand {
  client: Piece;
  /** What the client is dressed for; `null` when the pieces were put together at the bench. */
  outfit: Piece | null;
  shirt: Piece;
  jacket: Piece | null;
  tie: Piece;
  cloth: ClothColours;
  aim: AimCode | 'own';
  question: QuestionEntries;
  /** The knot chosen by hand; `null` follows the first pick. */
  knot: string | null;
  note: string;
}

const walkIn: KnownClient = { heightMm: 1780, neckMm: 395, ...requestDefaults.client };
const anyShirt = { label: 'A shirt', colour: '#f6f7f9', ...requestDefaults.shirt };
const anyTie = { label: 'A tie', colours: ['#4a5a78'], ...supposeTie({ lengthMm: 1470, bladeMm: 80, thicknessMm: 3 }) };

/** The bench with the wardrobe's client, or with usual measures where nothing is kept yet. */
export function freshAtHand(wardrobe: Wardrobe): AtHand {
  const bare: AtHand = {
    client: { id: null, label: 'Walk-in' },
    outfit: null,
    shirt: { id: null, label: anyShirt.label },
    jacket: null,
    tie: { id: null, label: anyTie.label },
    cloth: { tie: anyTie.colours, shirt: anyShirt.colour, jacket: null },
    aim: 'belt-top',
    question: {
      client: clientEntries(walkIn),
      shirt: shirtEntries(anyShirt),
      jacket: null,
      tie: tieEntries(anyTie),
      aim: aimOn('belt-top', walkIn.beltHeightMm),
      taste: requestDefaults.taste,
    },
    knot: null,
    note: '',
  };
  const dressed = wardrobe.client ? withClient(bare, wardrobe.client, wardrobe) : bare;
  return wardrobe.ties[0] && dressed.tie.id === null ? withTie(dressed, wardrobe.ties[0]) : dressed;
}

/** The bench as a fitting was saved. */
export function atHandOfFitting(fitting: Fitting): AtHand {
  // What was saved before a measure was asked for is completed with what was supposed of it then.
  const request = completeRequest(fitting.request);
  const { beltHeightMm } = request.client;
  return {
    client: { id: fitting.clientId, label: fitting.clientName },
    outfit: null,
    shirt: { id: fitting.shirtId, label: fitting.shirtLabel },
    jacket: request.jacket && fitting.jacketLabel ? { id: fitting.jacketId, label: fitting.jacketLabel } : null,
    tie: { id: fitting.tieId, label: fitting.tieLabel },
    cloth: fitting.cloth,
    aim: aimCodes.find((code) => sameAim(aimOn(code, beltHeightMm), request.aim)) ?? 'own',
    question: {
      client: clientEntries(request.client),
      shirt: shirtEntries(request.shirt),
      jacket: request.jacket,
      tie: tieEntries(request.tie),
      aim: request.aim,
      taste: request.taste,
    },
    knot: fitting.knot,
    note: fitting.note,
  };
}

function sameAim(a: PlanRequest['aim'], b: PlanRequest['aim']): boolean {
  return a.offsetMm === b.offsetMm && a.aboveMm === b.aboveMm && a.belowMm === b.belowMm;
}

/**
 * Takes a client with his habits, and what is his own: his first outfit, or else the first of
 * his shirts and jackets; his first tie.
 */
export function withClient(values: AtHand, client: ClientRecord, { outfits, shirts, jackets, ties }: Wardrobe): AtHand {
  const own = <T extends { readonly clientId: string | null }>(all: readonly T[]) => all.find(({ clientId }) => clientId === client.id);
  const { symmetry, release, neckBand, practice, ownKnot } = client;
  const also = ownKnot ? [ownKnot] : [];
  let next: AtHand = {
    ...values,
    client: { id: client.id, label: client.name },
    outfit: null,
    question: {
      ...values.question,
      client: clientEntries(planClient(client)),
      taste: { ...values.question.taste, symmetry, release, neckBand, practice, also },
    },
    knot: ownKnot,
    note: '',
  };
  const shirt = own(shirts);
  const tie = own(ties);
  const [outfit] = outfits;
  if (shirt) next = withShirt(next, shirt);
  next = withJacket(next, own(jackets) ?? null);
  if (outfit) next = withOutfit(next, outfit, client, { shirts, jackets });
  if (tie) next = withTie(next, tie);
  return withAim(next, client.aim);
}

/** Puts an outfit of the client on him, with the belt line of its trousers. */
export function withOutfit(
  values: AtHand,
  outfit: OutfitRecord,
  client: ClientRecord,
  { shirts, jackets }: Pick<Wardrobe, 'shirts' | 'jackets'>,
): AtHand {
  const shirt = shirts.find(({ id }) => id === outfit.shirtId);
  const jacket = jackets.find(({ id }) => id === outfit.jacketId) ?? null;
  const inShirt = shirt ? withShirt(values, shirt) : values;
  const dressed = withJacket(inShirt, jacket);
  return {
    ...dressed,
    outfit: { id: outfit.id, label: outfit.label },
    question: { ...dressed.question, client: clientEntries(planClient(client, outfit)) },
  };
}

export function withShirt(values: AtHand, shirt: ShirtRecord): AtHand {
  return {
    ...values,
    outfit: null,
    shirt: { id: shirt.id, label: shirt.label },
    cloth: { ...values.cloth, shirt: shirt.colour },
    question: { ...values.question, shirt: shirtEntries(planShirt(shirt)) },
  };
}

/** `null` takes the jacket off. */
export function withJacket(values: AtHand, jacket: JacketRecord | null): AtHand {
  return {
    ...values,
    outfit: null,
    jacket: jacket && { id: jacket.id, label: jacket.label },
    cloth: { ...values.cloth, jacket: jacket?.colour ?? null },
    question: { ...values.question, jacket: jacket && jacketEntries(jacket) },
  };
}

export function withTie(values: AtHand, tie: TieRecord): AtHand {
  return {
    ...values,
    tie: { id: tie.id, label: tie.label },
    cloth: { ...values.cloth, tie: tie.colours },
    question: { ...values.question, tie: tieEntries(tie) },
  };
}

export function withAim(values: AtHand, code: AimCode): AtHand {
  const { beltHeightMm } = values.question.client;
  const onBelt = typeof beltHeightMm === 'number' ? beltHeightMm : requestDefaults.client.beltHeightMm;
  return { ...values, aim: code, question: { ...values.question, aim: aimOn(code, onBelt) } };
}

function clientEntries(client: KnownClient): QuestionEntries['client'] {
  const { heightMm, neckMm, frontDropMm, frontDropHow, front, beltHeightMm, crossingGapMm, blade } = client;
  // A measure that was never taken is an empty field, which says so; only the front drop can be done without.
  return { heightMm: heightMm ?? '', neckMm: neckMm ?? '', frontDropMm, frontDropHow, front, beltHeightMm, crossingGapMm, blade };
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

function tieEntries(tie: PlanRequest['tie']): QuestionEntries['tie'] {
  const { lengthMm, bladeMm, thicknessMm, neckMm, neckAtMm, tailMm, keeperMm, fabric, pattern, ends, profile } = tie;
  return {
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
