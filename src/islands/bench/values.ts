import type { ClothColours, Fitting } from '../../contract/fitting.ts';
import type { ClientRecord, JacketRecord, ShirtRecord, TieRecord, Wardrobe } from '../../contract/records.ts';
import { type PlanRequest, requestDefaults, supposeTie } from '../../core/index.ts';
import { type AimCode, aimCodes, aims } from '../../core/plan/aims.ts';
import type { Entry } from '../controls/MeasureField.tsx';

/** A plan's question as it stands in the fields: lengths may be text that is none yet. */
export interface QuestionEntries {
  client: { heightMm: Entry; neckMm: Entry; frontDropMm: Entry; crossingGapMm: Entry; blade: 'left' | 'right' };
  shirt: {
    collarPointMm: Entry;
    collarSpreadMm: Entry;
    tieSpaceMm: Entry;
    collarAllowanceMm: Entry;
    buttonsMm: readonly number[] | string;
  };
  jacket: { lapelMm: Entry; waistcoat: boolean } | null;
  tie: Record<'lengthMm' | 'bladeMm' | 'thicknessMm' | 'neckMm' | 'neckAtMm' | 'tailMm' | 'keeperMm', Entry> &
    Pick<PlanRequest['tie'], 'fabric' | 'pattern'>;
  aim: { offsetMm: Entry; aboveMm: Entry; belowMm: Entry };
  taste: PlanRequest['taste'];
}

interface Piece {
  id: string | null;
  label: string;
}

/** Everything that is set on the bench. */
export interface BenchValues {
  client: Piece;
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

const walkIn: ClientRecord = { id: '', name: 'Walk-in', note: '', heightMm: 1780, neckMm: 395, ...requestDefaults.client };
const anyShirt: ShirtRecord = { id: '', clientId: null, label: 'A shirt', colour: '#f6f7f9', ...requestDefaults.shirt };
const anyTie: TieRecord = {
  id: '',
  clientId: null,
  label: 'A tie',
  colours: ['#4a5a78'],
  ...supposeTie({ lengthMm: 1470, bladeMm: 80, thicknessMm: 3 }),
};

/** The bench with the studio's first client, or with usual measures where nothing is kept yet. */
export function freshBench(wardrobe: Wardrobe): BenchValues {
  const bare: BenchValues = {
    client: { id: null, label: walkIn.name },
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
      aim: aimEntries('belt-top'),
      taste: requestDefaults.taste,
    },
    knot: null,
    note: '',
  };
  const [first] = wardrobe.clients;
  const dressed = first ? withClient(bare, first, wardrobe) : bare;
  return wardrobe.ties[0] && dressed.tie.id === null ? withTie(dressed, wardrobe.ties[0]) : dressed;
}

/** The bench as a fitting was saved. */
export function benchOfFitting(fitting: Fitting): BenchValues {
  const { request } = fitting;
  return {
    client: { id: fitting.clientId, label: fitting.clientName },
    shirt: { id: fitting.shirtId, label: fitting.shirtLabel },
    jacket: request.jacket && fitting.jacketLabel ? { id: fitting.jacketId, label: fitting.jacketLabel } : null,
    tie: { id: fitting.tieId, label: fitting.tieLabel },
    cloth: fitting.cloth,
    aim: aimCodes.find((code) => sameAim(aims[code], request.aim)) ?? 'own',
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

/** Takes a client, and what is his own of shirts, jackets and ties. */
export function withClient(values: BenchValues, client: ClientRecord, { shirts, jackets, ties }: Wardrobe): BenchValues {
  const own = <T extends { readonly clientId: string | null }>(all: readonly T[]) => all.find(({ clientId }) => clientId === client.id);
  let next: BenchValues = {
    ...values,
    client: { id: client.id, label: client.name },
    question: { ...values.question, client: clientEntries(client) },
    knot: null,
    note: '',
  };
  const shirt = own(shirts);
  const jacket = own(jackets);
  const tie = own(ties);
  if (shirt) next = withShirt(next, shirt);
  next = withJacket(next, jacket ?? null);
  if (tie) next = withTie(next, tie);
  return next;
}

export function withShirt(values: BenchValues, shirt: ShirtRecord): BenchValues {
  return {
    ...values,
    shirt: { id: shirt.id, label: shirt.label },
    cloth: { ...values.cloth, shirt: shirt.colour },
    question: { ...values.question, shirt: shirtEntries(shirt) },
  };
}

/** `null` takes the jacket off. */
export function withJacket(values: BenchValues, jacket: JacketRecord | null): BenchValues {
  return {
    ...values,
    jacket: jacket && { id: jacket.id, label: jacket.label },
    cloth: { ...values.cloth, jacket: jacket?.colour ?? null },
    question: { ...values.question, jacket: jacket && { lapelMm: jacket.lapelMm, waistcoat: jacket.waistcoat } },
  };
}

export function withTie(values: BenchValues, tie: TieRecord): BenchValues {
  return {
    ...values,
    tie: { id: tie.id, label: tie.label },
    cloth: { ...values.cloth, tie: tie.colours },
    question: { ...values.question, tie: tieEntries(tie) },
  };
}

export function withAim(values: BenchValues, code: AimCode): BenchValues {
  return { ...values, aim: code, question: { ...values.question, aim: aimEntries(code) } };
}

function aimEntries(code: AimCode): QuestionEntries['aim'] {
  const { offsetMm, aboveMm, belowMm } = aims[code];
  return { offsetMm, aboveMm, belowMm };
}

function clientEntries({ heightMm, neckMm, frontDropMm, crossingGapMm, blade }: PlanRequest['client']): QuestionEntries['client'] {
  return { heightMm, neckMm, frontDropMm, crossingGapMm, blade };
}

function shirtEntries(shirt: PlanRequest['shirt']): QuestionEntries['shirt'] {
  const { collarPointMm, collarSpreadMm, tieSpaceMm, collarAllowanceMm, buttonsMm } = shirt;
  return { collarPointMm, collarSpreadMm, tieSpaceMm, collarAllowanceMm, buttonsMm };
}

function tieEntries(tie: PlanRequest['tie']): QuestionEntries['tie'] {
  const { lengthMm, bladeMm, thicknessMm, neckMm, neckAtMm, tailMm, keeperMm, fabric, pattern } = tie;
  return { lengthMm, bladeMm, thicknessMm, neckMm, neckAtMm, tailMm, keeperMm, fabric, pattern };
}
