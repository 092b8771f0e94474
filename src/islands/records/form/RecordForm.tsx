import { Redo2, Undo2 } from 'lucide-react';
import { useEffect, useState } from 'react';
import { FormProvider, useForm } from 'react-hook-form';
import { sayIn } from '../../../contract/lengths.ts';
import { fieldsOf, kinds } from '../../../contract/records/kinds.ts';
import type { Kind, RecordOf } from '../../../contract/records/records.ts';
import type { LengthUnit } from '../../../core/units/length.ts';
import { clearBench } from '../../atHand/kept.ts';
import { usePlainKeys, useShortcuts } from '../../device/shortcuts.ts';
import { unitChoices, useUnits } from '../../device/useUnits.ts';
import { Faults } from '../../ui/faults.ts';
import { OutageNotice } from '../../ui/OutageNotice.tsx';
import { Switch } from '../../ui/Switch.tsx';
import { Tool } from '../../ui/Tool.tsx';
import { Picture } from '../pictures/Picture.tsx';
import { dropDraft, keepDraft, keptDraft } from './drafts.ts';
import { checkEntries, type Entries, entriesOf } from './entries.ts';
import { FieldEntry } from './fields/FieldEntry.tsx';
import { layouts, type Section } from './layout.ts';
import { Merge } from './Merge.tsx';
import { useHistory } from './useHistory.ts';
import { useKeeping } from './useKeeping.ts';

interface RecordFormProps<K extends Kind> {
  readonly kind: K;
  /** The record as it is kept, or what a new one begins as. */
  readonly initial: Entries;
  /** Under which drafts of it are kept: its id, or `new`. */
  readonly draftId: string;
  readonly studioUnits: LengthUnit;
  readonly onKept: (record: RecordOf[K], wasNew: boolean) => void;
}

/** A record in its fields beside the thing itself; saved when it is right, and nothing typed is ever lost. */
export function RecordForm<K extends Kind>({ kind, initial, draftId, studioUnits, onKept }: RecordFormProps<K>) {
  const { one, titleOf } = kinds[kind];
  const [draft] = useState(() => keptDraft(kind, draftId));
  const [before, setBefore] = useState<Entries>(draft?.before ?? initial);
  const form = useForm<Entries>({ defaultValues: draft?.entries ?? initial });
  const entries = form.watch();
  const [units, setUnits] = useUnits(studioUnits);
  const history = useHistory(form, entries);
  const [plainKeys] = usePlainKeys();
  const [tried, setTried] = useState(false);
  const { record, faults } = checkEntries(kind, entries, units);
  const keeping = useKeeping(kind, units, (kept) => {
    const now = entriesOf(kept);
    dropDraft(kind, draftId);
    setBefore(now);
    form.reset(now);
    setTried(false);
    onKept(kept, before.version === 0);
  });

  const now = JSON.stringify(entries);
  const isChanged = now !== JSON.stringify(before);
  useEffect(() => {
    if (isChanged) keepDraft(kind, draftId, { before, entries: JSON.parse(now) as Entries });
    else dropDraft(kind, draftId);
  }, [kind, draftId, before, now, isChanged]);

  const busy = keeping.state === 'keeping' || keeping.state === 'waiting';
  const keep = (changes: Partial<Entries> = {}) => {
    setTried(true);
    if (record && !busy) keeping.keep({ ...record, ...changes } as RecordOf[K]);
  };
  const begin = (next: Entries) => {
    setBefore(next);
    form.reset(next);
    keeping.settle();
  };
  useShortcuts({ save: () => keep(), undo: () => history.undo?.(), redo: () => history.redo?.() }, plainKeys);

  // A field that was never touched is not scolded before somebody tries to save it.
  const told = tried || before.version > 0 ? faults : faults.filter(({ path }) => !isEmpty(entries, path));
  const isNew = before.version === 0;
  const columns = [undefined, 2].map((at) => layouts[kind].filter(({ column }) => column === at)).filter(({ length }) => length > 0);
  return (
    <FormProvider {...form}>
      <Faults value={[...told, ...keeping.faults]}>
        <form
          noValidate
          onSubmit={(event) => {
            event.preventDefault();
            keep();
          }}
        >
          <div className="sticky top-0 z-10 flex flex-wrap items-center justify-between gap-x-4 gap-y-1 bg-ground pb-2">
            <h1 className="text-3xl font-semibold tracking-tight">{titleOf(entries) || `A new ${one}`}</h1>
            <div className="flex flex-wrap items-center gap-x-3">
              <p role="status" className="text-note text-soft">
                {statusOf(keeping.state, isChanged, isNew)}
              </p>
              <Switch label="Units" value={units} choices={unitChoices} onChange={setUnits} />
              <Tool label="Undo (Ctrl + Z)" onPress={history.undo}>
                <Undo2 aria-hidden className="size-5" />
              </Tool>
              <Tool label="Redo (Ctrl + Shift + Z)" onPress={history.redo}>
                <Redo2 aria-hidden className="size-5" />
              </Tool>
              {!isNew && kind === 'clients' && (
                <a
                  className="flex min-h-10 items-center border-2 border-set px-3 text-set hover:bg-set hover:text-white"
                  href={`/?client=${before.id}`}
                  onClick={clearBench}
                >
                  To the bench
                </a>
              )}
              {!isNew && (
                <button
                  type="button"
                  className="min-h-10 cursor-pointer border-2 border-ink px-3"
                  onClick={() => keep({ archived: !before.archived })}
                >
                  {before.archived ? 'Bring back' : 'Put away'}
                </button>
              )}
              <button
                type="submit"
                disabled={busy || !isChanged}
                className="min-h-10 cursor-pointer bg-set px-4 text-lg font-medium text-white hover:bg-ink disabled:cursor-default disabled:bg-line"
              >
                Save
              </button>
            </div>
          </div>
          {before.archived && (
            <p className="mb-2 bg-faint px-4 py-2">This {one} was put away: it is kept, and no list shows it until it is brought back.</p>
          )}
          {draft && isChanged && (
            <p className="mb-2 flex flex-wrap items-center gap-3 bg-set-wash px-4 py-2">
              What you had typed here and not saved is still in the fields.
              <button type="button" className="min-h-8 cursor-pointer text-set underline" onClick={() => form.reset(before)}>
                Back to what is saved
              </button>
            </p>
          )}
          {keeping.state === 'waiting' && <OutageNotice what="What you entered is safe here; saving goes on trying." />}
          {keeping.message && (
            <p role="alert" className="mb-2 bg-outside-wash px-4 py-2 text-outside">
              {keeping.message}
            </p>
          )}
          {tried && faults.length > 0 && (
            <p role="alert" className="mb-2 bg-outside-wash px-4 py-2 text-outside">
              Not saved yet: {faults.map(({ message }) => message).join(' ')}
            </p>
          )}
          {keeping.theirs && (
            <Merge
              kind={kind}
              before={before}
              mine={{ ...entries, ...(record ?? {}) }}
              theirs={entriesOf(keeping.theirs)}
              say={sayIn(units)}
              onMerge={(both) => {
                begin(both);
                const { record: whole } = checkEntries(kind, both, units);
                if (whole) keeping.keep(whole);
              }}
              onTakeTheirs={() => keeping.theirs && begin(entriesOf(keeping.theirs))}
            />
          )}
          <div
            className={`grid gap-8 ${columns.length > 1 ? 'lg:grid-cols-[minmax(0,24rem)_minmax(0,22rem)_minmax(0,1fr)]' : 'lg:grid-cols-[minmax(0,27rem)_minmax(0,1fr)]'}`}
          >
            {columns.map((sections) => (
              <div key={sections[0]?.title}>
                {sections.map((section) => (
                  <Fields key={section.title} kind={kind} section={section} units={units} entries={entries} />
                ))}
              </div>
            ))}
            <div className="lg:sticky lg:top-16 lg:self-start">
              <Picture kind={kind} entries={entries} units={units} />
            </div>
          </div>
        </form>
      </Faults>
    </FormProvider>
  );
}

interface FieldsProps {
  readonly kind: Kind;
  readonly section: Section;
  readonly units: LengthUnit;
  readonly entries: Entries;
}

function Fields({ kind, section: { title, keys, hint }, units, entries }: FieldsProps) {
  const fields = new Map(fieldsOf(kind));
  return (
    <section aria-label={title} className="pb-4">
      <h2 className="border-b-2 border-ink pb-0.5 font-medium">{title}</h2>
      {hint && <p className="pt-1 text-note text-soft">{hint}</p>}
      {keys.map((key) => {
        const field = fields.get(key);
        return field && <FieldEntry key={key} kind={kind} name={key} field={field} units={units} entries={entries} />;
      })}
    </section>
  );
}

function isEmpty(entries: Entries, path: string): boolean {
  const value = entries[path.split('.')[0] ?? ''];
  return value === '' || value === null || value === undefined;
}

function statusOf(state: ReturnType<typeof useKeeping>['state'], isChanged: boolean, isNew: boolean): string {
  if (state === 'keeping') return 'Saving …';
  if (state === 'waiting') return 'Trying to save …';
  if (isChanged) return isNew ? '' : 'Not saved yet.';
  return state === 'kept' ? 'Saved.' : '';
}
