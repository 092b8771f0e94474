import equal from 'fast-deep-equal';
import { lazy, memo, type ReactNode, Suspense, useState } from 'react';
import { planClient } from '../../contract/records/asWorn.ts';
import type { ClientRecord } from '../../contract/records/records.ts';
import { frontDropOf, type Taking } from '../../core/body/frontDrop.ts';
import { usualStandMm } from '../../core/collar/hides.ts';
import type { PlanRequest } from '../../core/index.ts';
import { buttoningPoint } from '../../core/jacket/opening.ts';
import { type Measure, measures } from '../../core/measures/measures.ts';
import { cautions, finishing, likings } from '../../core/plan/habits.ts';
import { schools } from '../../core/plan/schools.ts';
import { fabricCodes, fabrics } from '../../core/tie/fabrics.ts';
import { patternCodes, patterns } from '../../core/tie/patterns.ts';
import type { LengthUnit } from '../../core/units/length.ts';
import { DressCodeField } from '../atHand/DressCodeField.tsx';
import { type PieceCode, pieces } from '../atHand/pieces.ts';
import { type StandsAtHand, useAsked, useSurroundings } from '../atHand/useAtHand.ts';
import { Button, Link } from '../ui/Button.tsx';
import { ButtonsField } from '../ui/ButtonsField.tsx';
import { useEntry, useFaults } from '../ui/entry.ts';
import { MeasureField } from '../ui/MeasureField.tsx';
import { SelectField } from '../ui/SelectField.tsx';
import { Switch } from '../ui/Switch.tsx';
import { SwitchField } from '../ui/SwitchField.tsx';
import { Tabs } from '../ui/Tabs.tsx';
import { useAlive } from '../ui/useAlive.ts';
import { isRecorded, type RecordedPiece } from './recorded.ts';

const KeepInRecord = lazy(() => import('./KeepInRecord.tsx').then(({ KeepInRecord: Offer }) => ({ default: Offer })));

const labels: Readonly<Record<PieceCode, string>> = { client: 'Client', shirt: 'Shirt', jacket: 'Jacket', tie: 'Tie', aim: 'Aim' };

interface MeasureSheetProps {
  readonly piece: PieceCode;
  readonly onTurnTo: (piece: PieceCode) => void;
}

const sheets: Readonly<Record<PieceCode, () => ReactNode>> = {
  client: ClientSheet,
  shirt: ShirtSheet,
  jacket: JacketSheet,
  tie: TieSheet,
  aim: AimSheet,
};

/** Every measure that was set, a piece at a time. */
export const MeasureSheet = memo(function MeasureSheet({ piece, onTurnTo }: MeasureSheetProps) {
  const faults = useFaults();
  const Sheet = sheets[piece];
  const tabs = pieces.map((key) => ({
    key,
    label: labels[key],
    mark: faults.some(({ path }) => path.startsWith(`question.${key}`)) && (
      <span className="ml-1 text-outside" role="img" aria-label="has an error">
        ●
      </span>
    ),
  }));
  return (
    <Tabs label="Measures" tabs={tabs} value={piece} onChange={onTurnTo}>
      <Sheet />
    </Tabs>
  );
});

function ClientSheet() {
  const { client } = useSurroundings();
  return (
    <>
      <FrontDrop />
      <Lengths piece="client" keys={['heightMm', 'neckMm', 'beltHeightMm', 'crossingGapMm']} />
      <SwitchField
        name="question.client.blade"
        label="The blade hangs on the wearer’s"
        choices={[
          { key: 'right', label: 'right' },
          { key: 'left', label: 'left' },
        ]}
      />
      {client && <AboutClient client={client} />}
      <p className="pt-2 text-note text-soft">
        Snug is a look, not a pressure: leave one finger’s room at the throat. Ask before you dress a client; stop at any discomfort.
      </p>
    </>
  );
}

function ShirtSheet() {
  const { units } = useSurroundings();
  return (
    <>
      <Lengths piece="shirt" keys={['collarSpreadMm', 'collarPointMm', 'tieSpaceMm', 'standMm', 'collarAllowanceMm']} />
      <ButtonsField name="question.shirt.buttonsMm" units={units} />
    </>
  );
}

function JacketSheet() {
  const { values } = useAsked();
  if (!values.question.jacket) return <p className="py-4 text-soft">No jacket, so no lapel to match.</p>;
  return (
    <>
      <Lengths piece="jacket" keys={['lapelMm', 'buttoningMm']} />
      <SwitchField
        name="question.jacket.worn"
        label="The jacket is worn"
        choices={[
          { key: 'open', label: 'unbuttoned' },
          { key: 'closed', label: 'buttoned' },
        ]}
      />
      <Waistcoat />
    </>
  );
}

function TieSheet() {
  return (
    <>
      <Lengths piece="tie" keys={['lengthMm', 'bladeMm', 'thicknessMm', 'neckMm', 'neckAtMm', 'tailMm', 'keeperMm']} />
      <SelectField name="question.tie.fabric" label="Fabric" choices={fabricCodes.map((code) => [code, fabrics[code].label])} />
      <SelectField name="question.tie.pattern" label="Pattern" choices={patternCodes.map((code) => [code, patterns[code].label])} />
    </>
  );
}

function AimSheet() {
  return (
    <>
      <Lengths piece="aim" keys={['offsetMm', 'aboveMm', 'belowMm']} />
      <DressCodeField />
      <Rules />
    </>
  );
}

/** What may stay empty, and is then estimated. */
const optional: ReadonlySet<string> = new Set(['heightMm', 'neckMm', 'buttoningMm', 'standMm']);

interface LengthsProps {
  readonly piece: PieceCode;
  readonly keys: readonly string[];
}

function Lengths({ piece, keys }: LengthsProps) {
  const atHand = useAsked();
  const table: Readonly<Record<string, Measure>> = measures[piece];
  const recorded = recordOf(atHand, piece);
  return keys.map((key) => {
    const measure = table[key];
    return (
      measure && (
        <Length
          key={key}
          piece={piece}
          measureKey={key}
          measure={measure}
          units={atHand.units}
          estimatedMm={estimateOf(atHand.request, piece, key)}
          recordedMm={recorded?.[key]}
          offered={offeredOf(atHand, piece, key)}
        />
      )
    );
  });
}

interface LengthProps {
  readonly piece: PieceCode;
  readonly measureKey: string;
  readonly measure: Measure;
  readonly units: LengthUnit;
  readonly estimatedMm: number | undefined;
  readonly recordedMm: number | null | undefined;
  readonly offered: Offered | null;
}

/** One field, drawn anew only where it tells something else: an estimate moves with other measures, most don’t. */
const Length = memo(function Length({ piece, measureKey, offered, ...field }: LengthProps) {
  return (
    <MeasureField
      name={`question.${piece}.${measureKey}`}
      optional={optional.has(measureKey)}
      offer={offered && <Offer {...offered} />}
      {...field}
    />
  );
}, equal);

/** Collar button to belt: what is entered here was measured with a tape. */
function FrontDrop() {
  const atHand = useAsked();
  const how = useEntry<Taking>('question.client.frontDropHow');
  const offered = offeredOf(atHand, 'client', 'frontDropMm');
  return (
    <MeasureField
      name="question.client.frontDropMm"
      measure={measures.client.frontDropMm}
      units={atHand.units}
      optional
      onEdit={() => how.onChange('tape')}
      estimatedMm={frontDropOf({ ...atHand.request.client, frontDropMm: null }).meanMm}
      recordedMm={recordOf(atHand, 'client')?.['frontDropMm']}
      offer={offered && <Offer {...offered} />}
    />
  );
}

function estimateOf({ jacket, client, ...request }: PlanRequest, piece: PieceCode, key: string): number | undefined {
  if (key === 'standMm') return request.shirt.standMm ?? usualStandMm;
  if (key === 'buttoningMm') return jacket ? buttoningPoint({ ...jacket, buttoningMm: null }, frontDropOf(client).meanMm) : undefined;
  const part = { ...request, jacket, client }[piece] as Readonly<Record<string, unknown>> | null;
  const value = part?.[key];
  return typeof value === 'number' ? value : undefined;
}

interface Offered {
  readonly piece: RecordedPiece;
  readonly record: object;
  readonly measure: string;
  readonly mm: number;
}

/** To keep a measure that was taken here where it is on record. */
function Offer({ record, ...offered }: Offered) {
  return (
    <WhenAlive>
      <KeepInRecord {...offered} record={record as never} />
    </WhenAlive>
  );
}

function offeredOf({ values, wardrobe, client }: StandsAtHand, piece: PieceCode, key: string): Offered | null {
  if (!isRecorded(piece)) return null;
  const record = {
    client,
    shirt: wardrobe.shirts.find(({ id }) => id === values.shirt.id),
    jacket: wardrobe.jackets.find(({ id }) => id === values.jacket?.id),
    tie: wardrobe.ties.find(({ id }) => id === values.tie.id),
  }[piece];
  const mm = (values.question[piece] as Readonly<Record<string, unknown>> | null)?.[key];
  return record && typeof mm === 'number' ? { piece, record, measure: key, mm } : null;
}

/** What is fetched on its own; a page drawn on the server comes without. */
function WhenAlive({ children }: { readonly children: ReactNode }) {
  return useAlive() && <Suspense>{children}</Suspense>;
}

/** What is on record of a piece, to show what was changed from it here. */
function recordOf(
  { values, wardrobe, client, studio }: StandsAtHand,
  piece: PieceCode,
): Readonly<Record<string, number | null>> | undefined {
  const record = (): object | undefined => {
    switch (piece) {
      case 'client':
        return client
          ? planClient(
              client,
              wardrobe.outfits.find(({ id }) => id === values.outfit?.id),
              studio.person,
            )
          : undefined;
      case 'shirt':
        return wardrobe.shirts.find(({ id }) => id === values.shirt.id);
      case 'jacket':
        return wardrobe.jackets.find(({ id }) => id === values.jacket?.id);
      case 'tie':
        return wardrobe.ties.find(({ id }) => id === values.tie.id);
      case 'aim':
        return undefined;
    }
  };
  return record() as Readonly<Record<string, number | null>> | undefined;
}

/** What is kept of the client's preferences, and what to watch with them. */
function AboutClient({ client }: { readonly client: ClientRecord }) {
  const { note, tiedBy, dimple, cautions: watched } = client;
  return (
    <div className="pt-2 text-note text-soft">
      {watched.map((code) => (
        <p key={code} className="pb-1 text-outside">
          {cautions[code].says}
        </p>
      ))}
      <p>
        Tied by {finishing.tiedBy[tiedBy].label}; dimple {likings.dimple[dimple].label}.{' '}
        <Link href={`/clients/${client.id}`}>{client.nickname || client.name}’s record</Link>
      </p>
      {note && <p className="pt-1">{note}</p>}
    </div>
  );
}

function Waistcoat() {
  const { value, onChange } = useEntry<boolean>('question.jacket.waistcoat');
  return (
    <Switch
      label="Waistcoat"
      showLabel
      value={value ? 'with' : 'without'}
      choices={[
        { key: 'without', label: 'none' },
        { key: 'with', label: 'worn' },
      ]}
      onChange={(key) => onChange(key === 'with')}
    />
  );
}

function Rules() {
  const [showWhy, setShowWhy] = useState(false);
  return (
    <>
      {Object.entries(schools).map(([name, { label, schools: each }]) => (
        <SwitchField
          key={name}
          name={`question.rules.${name}`}
          label={label}
          choices={Object.entries(each).map(([key, school]) => ({ key, label: school.label }))}
        />
      ))}
      <Button look="text" className="text-note" aria-expanded={showWhy} onClick={() => setShowWhy(!showWhy)}>
        Who would choose which?
      </Button>
      {showWhy && (
        <dl className="text-note text-soft">
          {Object.values(schools).flatMap(({ schools: each }) =>
            Object.values(each).map(({ label, says, chosenBy }) => (
              <div key={label} className="pt-1">
                <dt className="font-bold text-ink">{label}</dt>
                <dd>
                  {says} {chosenBy}
                </dd>
              </div>
            )),
          )}
        </dl>
      )}
    </>
  );
}
