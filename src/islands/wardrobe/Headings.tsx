import type { ListWanted } from '../../contract/answerKeys.ts';
import type { WardrobeSort } from '../../contract/records/wardrobeSorts.ts';
import { type Fineness, type LengthUnit, unitLabel } from '../../core/units/length.ts';

/** What the list is ordered by; by name where nothing is said. */
export type Order = Pick<ListWanted, 'by' | 'down'>;

export function orderIn({ by, down }: ListWanted): Order {
  return by === undefined ? {} : { by, down: down ?? false };
}

interface Column {
  readonly label: string;
  /** The field it is ordered by, where it can be. */
  readonly by?: string;
  /** A length, told in the reader's unit and finest. */
  readonly length?: { readonly fineness?: Fineness };
  /** How often something happened. */
  readonly count?: true;
  readonly onPhone?: boolean;
}

interface Columns {
  readonly grid: string;
  readonly columns: readonly Column[];
}

const owner: Column = { label: 'Belongs to', onPhone: true };
const named: Column = { label: 'Name', by: 'label', onPhone: true };

/** The columns of each sort after its picture, and how wide they are. */
export const columnsOf: Readonly<Record<WardrobeSort, Columns>> = {
  ties: {
    grid: 'grid gap-x-4 grid-cols-[2.5rem_minmax(0,1fr)_8rem] sm:grid-cols-[2.5rem_minmax(0,1fr)_6.5rem_5.5rem_5rem_6.5rem_3.5rem_12rem_8rem]',
    columns: [
      named,
      { label: 'Fabric', by: 'fabric' },
      { label: 'Length', by: 'lengthMm', length: {} },
      { label: 'Blade', by: 'bladeMm', length: {} },
      { label: 'Thickness', by: 'thicknessMm', length: { fineness: 'thickness' } },
      { label: 'Worn', by: 'wearings', count: true },
      { label: 'Status, last worn', by: 'wornOn', onPhone: true },
      { label: 'Belongs to' },
    ],
  },
  squares: {
    grid: 'grid gap-x-4 grid-cols-[4.5rem_minmax(0,1fr)_8rem] sm:grid-cols-[4.5rem_minmax(0,1fr)_8rem_12rem]',
    columns: [named, { label: 'Fabric', by: 'fabric' }, owner],
  },
  shirts: {
    grid: 'grid gap-x-4 grid-cols-[2.5rem_minmax(0,1fr)_8rem] sm:grid-cols-[2.5rem_minmax(0,1fr)_8rem_6rem_6rem_12rem]',
    columns: [
      named,
      { label: 'Collar', by: 'collarStyle' },
      { label: 'Spread', by: 'collarSpreadMm', length: {} },
      { label: 'Points', by: 'collarPointMm', length: {} },
      owner,
    ],
  },
  jackets: {
    grid: 'grid gap-x-4 grid-cols-[2.5rem_minmax(0,1fr)_8rem] sm:grid-cols-[2.5rem_minmax(0,1fr)_12rem_6rem_7rem_12rem]',
    columns: [
      named,
      { label: 'Lapel and cut', by: 'lapelKind' },
      { label: 'Lapel', by: 'lapelMm', length: {} },
      { label: 'Buttoned at', by: 'buttoningMm', length: {} },
      owner,
    ],
  },
};

interface HeadingsProps {
  readonly sort: WardrobeSort;
  readonly order: Order;
  readonly units: LengthUnit;
  readonly onOrder: (order: Order) => void;
}

/** The headings of a list; pressed, it is ordered by that column, and pressed again the other way round. */
export function Headings({ sort, order, units, onOrder }: HeadingsProps) {
  const { grid, columns } = columnsOf[sort];
  const press = (by: string) => {
    const isNow = (order.by ?? 'label') === by;
    onOrder(isNow ? { by, down: !order.down } : { by, down: false });
  };
  return (
    <fieldset className={`${grid} items-end border-b border-line pt-2 text-note`}>
      <legend className="sr-only">Order by</legend>
      <span />
      {columns.map(({ label, by, length, count, onPhone }) => {
        const isNow = by !== undefined && (order.by ?? 'label') === by;
        const text = `${label}${length ? `, ${unitLabel(units, length.fineness)}` : ''}`;
        const side = `${length || count ? 'text-right' : 'text-left'} ${onPhone ? '' : 'max-sm:hidden'}`;
        return by === undefined ? (
          <span key={label} className={`min-h-8 content-center text-soft ${side}`}>
            {text}
          </span>
        ) : (
          <button
            key={label}
            type="button"
            aria-pressed={isNow}
            className={`min-h-8 cursor-pointer text-set hover:underline aria-pressed:font-medium ${side}`}
            onClick={() => press(by)}
          >
            {text}
            {isNow && <span aria-hidden>{order.down ? ' ↓' : ' ↑'}</span>}
            {isNow && <span className="sr-only">{order.down ? ', largest or last first' : ', smallest or first first'}</span>}
          </button>
        );
      })}
    </fieldset>
  );
}
