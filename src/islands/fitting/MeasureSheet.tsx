import { useState } from 'react';
import { Tab, TabList, TabPanel, Tabs } from 'react-aria-components';
import { useController, useFormContext } from 'react-hook-form';
import { type KnownClient, planClient } from '../../contract/records/asWorn.ts';
import { longestNote } from '../../contract/records/kinds.ts';
import type { ClientRecord, Wardrobe } from '../../contract/records/records.ts';
import { frontDropOf } from '../../core/body/frontDrop.ts';
import type { PlanRequest } from '../../core/index.ts';
import { buttoningPoint } from '../../core/jacket/opening.ts';
import { type Measure, measures } from '../../core/measures/measures.ts';
import { cautions, finishing } from '../../core/plan/habits.ts';
import { fabricCodes, fabrics } from '../../core/tie/fabrics.ts';
import { patternCodes, patterns } from '../../core/tie/patterns.ts';
import type { LengthUnit } from '../../core/units/length.ts';
import { groups, type PieceCode } from '../atHand/pieces.ts';
import type { AtHand } from '../atHand/values.ts';
import { ButtonsField } from '../ui/ButtonsField.tsx';
import { MeasureField } from '../ui/MeasureField.tsx';
import { SelectField } from '../ui/SelectField.tsx';
import { Switch } from '../ui/Switch.tsx';
import { SwitchField } from '../ui/SwitchField.tsx';

const groupLabels: Readonly<Record<PieceCode, string>> = { client: 'Client', shirt: 'Shirt', jacket: 'Jacket', tie: 'Tie', aim: 'Aim' };

interface MeasureSheetProps {
  readonly group: PieceCode;
  readonly onTurnTo: (group: PieceCode) => void;
  readonly values: AtHand;
  readonly units: LengthUnit;
  readonly wardrobe: Wardrobe;
  /** The request reckoned with, for what is supposed where a field is empty. */
  readonly request: PlanRequest;
  readonly faulty: ReadonlySet<PieceCode>;
}

/** Every measure that was set, a piece at a time. */
export function MeasureSheet({ group, onTurnTo, values, units, wardrobe, request, faulty }: MeasureSheetProps) {
  const shared = { units, request, values };
  const recorded = recordsOf(values, wardrobe);
  return (
    <Tabs selectedKey={group} onSelectionChange={(key) => onTurnTo(key as PieceCode)} className="flex min-h-0 flex-col">
      <TabList aria-label="Measures" className="flex border-b border-line">
        {groups.map((each) => (
          <Tab
            key={each}
            id={each}
            className="-mb-px flex min-h-10 grow cursor-pointer items-center justify-center border-b-2 border-transparent px-1 text-soft outline-offset-[-3px] data-[focus-visible]:outline-3 data-[focus-visible]:outline-set data-[hovered]:text-ink data-[selected]:border-set data-[selected]:font-medium data-[selected]:text-set"
          >
            {groupLabels[each]}
            {faulty.has(each) && (
              <span className="ml-1 text-outside" role="img" aria-label="has a fault">
                ●
              </span>
            )}
          </Tab>
        ))}
      </TabList>
      <TabPanel id="client" className="min-h-0 overflow-y-auto pt-1 pr-1">
        <Lengths
          {...shared}
          group="client"
          keys={['frontDropMm', 'heightMm', 'neckMm', 'beltHeightMm', 'crossingGapMm']}
          recorded={recorded.client}
        />
        <SwitchField
          name="question.client.blade"
          label="The blade hangs on his"
          choices={[
            { key: 'right', label: 'right' },
            { key: 'left', label: 'left' },
          ]}
        />
        <NoteField />
        <AboutClient client={wardrobe.client?.id === values.client.id ? wardrobe.client : undefined} />
        <p className="pt-2 text-note text-soft">
          Snug is a look, not a pressure: a finger must pass between collar and throat. Ask before you dress him; stop at any discomfort.
        </p>
      </TabPanel>
      <TabPanel id="shirt" className="min-h-0 overflow-y-auto pt-1 pr-1">
        <Lengths
          {...shared}
          group="shirt"
          keys={['collarSpreadMm', 'collarPointMm', 'tieSpaceMm', 'collarAllowanceMm']}
          recorded={recorded.shirt}
        />
        <ButtonsField name="question.shirt.buttonsMm" units={units} />
      </TabPanel>
      <TabPanel id="jacket" className="min-h-0 overflow-y-auto pt-1 pr-1">
        {values.question.jacket ? (
          <>
            <Lengths {...shared} group="jacket" keys={['lapelMm', 'buttoningMm']} recorded={recorded.jacket} />
            <SwitchField
              name="question.jacket.worn"
              label="The jacket is worn"
              choices={[
                { key: 'open', label: 'open' },
                { key: 'closed', label: 'closed, hides the tip' },
              ]}
            />
            <Waistcoat />
          </>
        ) : (
          <p className="py-4 text-soft">No jacket is worn, so no lapel is matched.</p>
        )}
      </TabPanel>
      <TabPanel id="tie" className="min-h-0 overflow-y-auto pt-1 pr-1">
        <Lengths
          {...shared}
          group="tie"
          keys={['lengthMm', 'bladeMm', 'thicknessMm', 'neckMm', 'neckAtMm', 'tailMm', 'keeperMm']}
          recorded={recorded.tie}
        />
        <SelectField name="question.tie.fabric" label="Fabric" choices={fabricCodes.map((code) => [code, fabrics[code].label])} />
        <SelectField name="question.tie.pattern" label="Pattern" choices={patternCodes.map((code) => [code, patterns[code].label])} />
      </TabPanel>
      <TabPanel id="aim" className="min-h-0 overflow-y-auto pt-1 pr-1">
        <Lengths {...shared} group="aim" keys={['offsetMm', 'aboveMm', 'belowMm']} recorded={undefined} />
        <Rules />
      </TabPanel>
    </Tabs>
  );
}

function recordsOf(values: AtHand, wardrobe: Wardrobe) {
  return {
    client: onRecord(values, wardrobe),
    shirt: wardrobe.shirts.find(({ id }) => id === values.shirt.id),
    jacket: wardrobe.jackets.find(({ id }) => id === values.jacket?.id),
    tie: wardrobe.ties.find(({ id }) => id === values.tie.id),
  };
}

interface LengthsProps {
  readonly group: PieceCode;
  readonly keys: readonly string[];
  readonly units: LengthUnit;
  readonly request: PlanRequest;
  readonly recorded: object | undefined;
}

function Lengths({ group, keys, units, request, recorded }: LengthsProps) {
  const { setValue } = useFormContext<AtHand>();
  const table: Readonly<Record<string, Measure>> = measures[group];
  return keys.map((key) => {
    const measure = table[key];
    if (!measure) return null;
    const optional = key === 'frontDropMm' || key === 'buttoningMm';
    const record = recorded as Readonly<Record<string, number | null>> | undefined;
    return (
      <MeasureField<AtHand>
        key={key}
        name={`question.${group}.${key}` as 'question.client.neckMm'}
        measure={measure}
        units={units}
        optional={optional}
        supposedMm={suppositionOf(request, group, key)}
        {...(key === 'frontDropMm' ? { onEdit: () => setValue('question.client.frontDropHow', 'tape') } : {})}
        recordedMm={record?.[key]}
      />
    );
  });
}

function suppositionOf(request: PlanRequest, group: PieceCode, key: string): number | undefined {
  const belt = frontDropOf({ ...request.client, frontDropMm: null }).meanMm;
  if (key === 'frontDropMm') return belt;
  if (key === 'buttoningMm')
    return request.jacket ? buttoningPoint({ ...request.jacket, buttoningMm: null }, frontDropOf(request.client).meanMm) : undefined;
  const part = request[group] as Readonly<Record<string, unknown>> | null;
  const value = part?.[key];
  return typeof value === 'number' ? value : undefined;
}

function onRecord(values: AtHand, wardrobe: Wardrobe): KnownClient | undefined {
  const outfit = wardrobe.outfits.find(({ id }) => id === values.outfit?.id);
  return wardrobe.client?.id === values.client.id && wardrobe.client ? planClient(wardrobe.client, outfit) : undefined;
}

/** What is kept of the client's habits, and what to watch with him. */
function AboutClient({ client }: { readonly client: ClientRecord | undefined }) {
  if (!client) return null;
  const { note, tiedBy, dimple, cautions: watched } = client;
  return (
    <div className="pt-2 text-note text-soft">
      {watched.map((code) => (
        <p key={code} className="pb-1 text-outside">
          {cautions[code].says}
        </p>
      ))}
      <p>
        Tied by {finishing.tiedBy[tiedBy].label}; dimple {finishing.dimple[dimple].label}.{' '}
        <a className="inline-flex min-h-6 items-center text-set underline" href={`/clients/${client.id}`}>
          All about {client.nickname || client.name}
        </a>
      </p>
      {note && <p className="pt-1">{note}</p>}
    </div>
  );
}

function NoteField() {
  const { register } = useFormContext<AtHand>();
  return (
    <label className="block pt-1 text-note text-soft">
      Note for this fitting
      <textarea
        rows={2}
        maxLength={longestNote}
        className="mt-0.5 block w-full resize-none border-b-2 border-set/40 bg-transparent text-[0.95rem] leading-snug text-set focus:border-set"
        {...register('note')}
      />
    </label>
  );
}

function Waistcoat() {
  const { field } = useController<AtHand, 'question.jacket.waistcoat'>({ name: 'question.jacket.waistcoat' });
  return (
    <Switch
      label="Waistcoat"
      showLabel
      value={field.value ? 'with' : 'without'}
      choices={[
        { key: 'without', label: 'none' },
        { key: 'with', label: 'worn, hides the tip' },
      ]}
      onChange={(key) => field.onChange(key === 'with')}
    />
  );
}

function Rules() {
  const [showWhy, setShowWhy] = useState(false);
  return (
    <>
      <SwitchField
        name="question.taste.collarRule"
        label="The knot fills the collar by"
        choices={[
          { key: 'thirds', label: 'a third of its edge' },
          { key: 'proportion', label: 'its class' },
        ]}
      />
      <SwitchField
        name="question.taste.lapelRule"
        label="The blade goes with the lapel"
        choices={[
          { key: 'within-inch', label: 'within an inch' },
          { key: 'match', label: 'matched' },
        ]}
      />
      <button
        type="button"
        className="min-h-9 cursor-pointer text-note text-soft underline"
        aria-expanded={showWhy}
        onClick={() => setShowWhy(!showWhy)}
      >
        What do these mean?
      </button>
      {showWhy && (
        <p className="text-note text-soft">
          By thirds, the knot covers at most a third of the collar’s front edge. By class, a point collar takes a small knot, a semi-spread
          a medium one, wider ones a large one. A matched blade is as wide as the lapel to about 6 mm.
        </p>
      )}
    </>
  );
}
