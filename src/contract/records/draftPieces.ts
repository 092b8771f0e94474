import { type CollarStyleCode, collarStyles } from '../../core/collar/styles.ts';
import { supposeTie, type Tie } from '../../core/tie/tie.ts';
import { kinds } from './kinds/index.ts';
import type { JacketRecord, ShirtRecord, TieRecord } from './records.ts';

/** The pieces that can be taken in before they are measured. */
export type PieceKind = 'shirts' | 'jackets' | 'ties';

interface PieceRecords {
  readonly shirts: ShirtRecord;
  readonly jackets: JacketRecord;
  readonly ties: TieRecord;
}

type Particular<K extends PieceKind> = Omit<PieceRecords[K], 'id' | 'version' | 'archived' | 'clientId' | 'note' | 'draft'>;

const white = '#f6f7f9';

function shirt(label: string, collarStyle: CollarStyleCode, colour: string): Particular<'shirts'> {
  const { label: _label, pointsHeld: _held, ...collar } = collarStyles[collarStyle];
  return { ...kinds.shirts.fresh, label, collarStyle, ...collar, colour };
}

function jacket(label: string, colour: string, particular: Partial<Particular<'jackets'>>): Particular<'jackets'> {
  return { ...kinds.jackets.fresh, label, colour, ...particular };
}

function tie(label: string, colours: readonly string[], measured: Pick<Tie, 'bladeMm' | 'thicknessMm'> & Partial<Tie>): Particular<'ties'> {
  const { kind: _kind, ...supposed } = supposeTie({ lengthMm: kinds.ties.fresh.lengthMm, ...measured });
  const { ends, profile, ...fresh } = kinds.ties.fresh;
  return { ...fresh, ...supposed, ends: measured.ends ?? ends, profile, label, colours };
}

/** Pieces as they usually are, by what a stylist would call them at the door. The first of each kind is the most usual. */
const table = {
  shirts: [
    shirt('White semi-spread shirt', 'semi-spread', white),
    shirt('White point shirt', 'point', white),
    shirt('White wide-spread shirt', 'wide-spread', white),
    shirt('White cutaway shirt', 'cutaway', white),
    shirt('White button-down shirt', 'button-down', white),
    shirt('Pale blue semi-spread shirt', 'semi-spread', '#cfe0f0'),
  ],
  jackets: [
    jacket('Navy jacket', '#232c44', {}),
    jacket('Charcoal jacket', '#3a3f45', {}),
    jacket('Slim navy jacket', '#232c44', { lapelMm: 62 }),
    jacket('Peak-lapel charcoal jacket', '#3a3f45', { lapelMm: 95, lapelKind: 'peak' }),
    jacket('Navy three-piece', '#232c44', { waistcoat: true, worn: 'closed' }),
  ],
  ties: [
    tie('Navy woven silk tie', ['#24365c'], { bladeMm: 80, thicknessMm: 3, fabric: 'woven-silk' }),
    tie('Slim navy tie', ['#24365c'], { bladeMm: 60, thicknessMm: 2.4, fabric: 'woven-silk' }),
    tie('Wide burgundy tie', ['#6b1f2e'], { bladeMm: 92, thicknessMm: 3.2, fabric: 'woven-silk' }),
    tie('Navy knit tie', ['#24365c'], { bladeMm: 60, thicknessMm: 4, fabric: 'knit', ends: 'square' }),
  ],
} as const satisfies { readonly [K in PieceKind]: readonly [Particular<K>, ...Particular<K>[]] };

/** What they are called, the most usual first. */
export function draftLabels(kind: PieceKind): readonly string[] {
  return table[kind].map(({ label }) => label);
}

/** A piece called so, not measured yet, for a client or (`null`) for the studio. Throws where no draft is called so. */
export function draftPiece<K extends PieceKind>(kind: K, label: string, clientId: string | null, id: string): PieceRecords[K] {
  const found = (table[kind] as unknown as readonly Particular<K>[]).find((each) => each.label === label);
  if (!found) throw new Error(`No draft is called ${label}`);
  return { ...found, id, clientId, draft: true, note: '', version: 0, archived: false } as unknown as PieceRecords[K];
}
