import equal from 'fast-deep-equal';
import { Redo2, Undo2 } from 'lucide-react';
import { useEffect, useMemo, useRef, useState } from 'react';
import { sayIn } from '../../../contract/lengths.ts';
import { fieldsOf } from '../../../contract/records/kinds/index.ts';
import { kindWords, titleOf } from '../../../contract/records/kindWords.ts';
import { merged } from '../../../contract/records/merge.ts';
import type { Kind, RecordOf, StudioSeen } from '../../../contract/records/records.ts';
import { unitChoices, useUnits } from '../../device/preferences.tsx';
import { useShortcuts } from '../../device/shortcuts.ts';
import { Button, Link } from '../../ui/Button.tsx';
import { EntriesOf } from '../../ui/EntriesOf.tsx';
import { createEntryStore, useEntries, useSteps } from '../../ui/entryStore.ts';
import { OutageNotice } from '../../ui/OutageNotice.tsx';
import { Switch } from '../../ui/Switch.tsx';
import { Tool } from '../../ui/Tool.tsx';
import { Picture } from '../pictures/Picture.tsx';
import { dropDraft, keepDraft, keptDraft } from './drafts.ts';
import { checkEntries, type Entries, entriesOf } from './entries.ts';
import { FieldEntry } from './fields/FieldEntry.tsx';
import { layouts, type Section } from './layout.ts';
import { Merge } from './Merge.tsx';
import { useKeeping } from './useKeeping.ts';
import { RecordContext } from './useRecord.ts';

interface RecordFormProps<K extends Kind> {
  readonly kind: K;
  /** The record as it is kept, or what a new one begins as. */
  readonly initial: Entries;
  /** Under which drafts of it are kept: its id, or `new`. */
  readonly draftId: string;
  readonly studio: StudioSeen;
  readonly onKept: (record: RecordOf[K], wasNew: boolean) => void;
  /** Whether it stands beneath a heading of the page’s own. */
  readonly nested?: boolean;
}

/** A record in its fields beside the thing itself; saved when it is right, and nothing typed is ever lost. */
export function RecordForm<K extends Kind>({ kind, initial, draftId, studio, onKept, nested = false }: RecordFormProps<K>) {
  const { one } = kindWords[kind];
  const [store] = useState(() => createEntryStore<Entries>(initial));
  const entries = useEntries(store);
  const [before, setBefore] = useState(initial);
  const [restored, setRestored] = useState<'unknown' | 'none' | 'draft'>('unknown');
  const [units, setUnits] = useUnits(studio.units);
  const { undo, redo } = useSteps(store);
  const [tried, setTried] = useState(false);
  const { record, faults } = useMemo(() => checkEntries(kind, entries, units), [kind, entries, units]);
  const sent = useRef(entries);
  const keeping = useKeeping(kind, units, (kept) => {
    const now = entriesOf(kept);
    dropDraft(kind, draftId);
    setBefore(now);
    // What was typed while it was being saved is not saved yet, and stays.
    store.begin(merged(kind, sent.current, store.get(), now, () => 'mine'));
    setTried(false);
    onKept(kept, before.version === 0);
  });

  // The form begins as the server drew it; what was typed here and not saved comes back once the page is alive.
  useEffect(() => {
    const draft = keptDraft(kind, draftId, store.get());
    if (draft) {
      setBefore(draft.before);
      store.begin(draft.entries);
    }
    setRestored(draft ? 'draft' : 'none');
  }, [kind, draftId, store]);
  const isChanged = !equal(entries, before);
  useEffect(() => {
    if (restored === 'unknown') return;
    if (isChanged) keepDraft(kind, draftId, { before, entries });
    else dropDraft(kind, draftId);
  }, [restored, kind, draftId, before, entries, isChanged]);

  const busy = keeping.state === 'keeping' || keeping.state === 'waiting';
  const keep = (changes: Partial<Entries> = {}) => {
    setTried(true);
    if (!record || busy) return;
    sent.current = { ...entries, ...changes };
    keeping.keep({ ...record, ...changes } as RecordOf[K], { before, entries: sent.current });
  };
  const begin = (next: Entries) => {
    setBefore(next);
    store.begin(next);
    keeping.settle();
  };
  useShortcuts({ save: () => keep(), undo: () => undo?.(), redo: () => redo?.() });

  // A field that was never touched is not scolded before somebody tries to save it.
  const told = tried || before.version > 0 ? faults : faults.filter(({ path }) => !isEmpty(entries, path));
  const isNew = before.version === 0;
  const columns = [undefined, 2].map((at) => layouts[kind].filter(({ column }) => column === at)).filter(({ length }) => length > 0);
  const Heading = nested ? 'h2' : 'h1';
  const context = useMemo(() => ({ kind, store, units, studio }), [kind, store, units, studio]);
  return (
    <RecordContext value={context}>
      <EntriesOf store={store} faults={[...told, ...keeping.faults]}>
        <form
          noValidate
          onSubmit={(event) => {
            event.preventDefault();
            keep();
          }}
        >
          <div className="sticky top-0 z-10 flex flex-wrap items-center justify-between gap-x-4 gap-y-1 bg-ground pb-2">
            <Heading className="text-3xl font-semibold tracking-tight">{titleOf(entries) || `New ${one}`}</Heading>
            <div className="flex flex-wrap items-center gap-x-3">
              <p role="status" className="text-note text-soft">
                {statusOf(keeping.state, isChanged, isNew)}
              </p>
              <Switch label="Units" value={units} choices={unitChoices} onChange={setUnits} />
              <Tool label="Undo (Ctrl + Z)" onPress={undo}>
                <Undo2 aria-hidden className="size-5" />
              </Tool>
              <Tool label="Redo (Ctrl + Shift + Z)" onPress={redo}>
                <Redo2 aria-hidden className="size-5" />
              </Tool>
              {!isNew && kind === 'clients' && (
                <Link look="other" href={`/?client=${before.id}`}>
                  Use in fitting
                </Link>
              )}
              {!isNew && (
                <Button look="plain" onClick={() => keep({ archived: !before.archived })}>
                  {before.archived ? 'Restore' : 'Archive'}
                </Button>
              )}
              <Button type="submit" disabled={busy || !isChanged} className="text-lg">
                Save
              </Button>
            </div>
          </div>
          {before.archived && (
            <p className="mb-2 bg-faint px-4 py-2">This {one} is archived: it is kept, but no list shows it until it is restored.</p>
          )}
          {restored === 'draft' && isChanged && (
            <p className="mb-2 flex flex-wrap items-center gap-3 bg-set-wash px-4 py-2">
              What you entered earlier and didn’t save is still here.
              <Button look="text" onClick={() => store.begin(before)}>
                Back to what is saved
              </Button>
            </p>
          )}
          {keeping.state === 'waiting' && <OutageNotice what="Not saved yet; nothing you entered is lost." />}
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
                if (whole) keeping.keep(whole, { before: both, entries: both });
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
                  <Fields key={section.title} kind={kind} section={section} />
                ))}
              </div>
            ))}
            <div className="lg:sticky lg:top-16 lg:self-start">
              <Picture kind={kind} />
            </div>
          </div>
        </form>
      </EntriesOf>
    </RecordContext>
  );
}

function Fields({ kind, section: { title, keys, hint } }: { readonly kind: Kind; readonly section: Section }) {
  const fields = new Map(fieldsOf(kind));
  return (
    <section aria-label={title} className="pb-4">
      <h2 className="border-b-2 border-ink pb-0.5 font-medium">{title}</h2>
      {hint && <p className="pt-1 text-note text-soft">{hint}</p>}
      {keys.map((key) => {
        const field = fields.get(key);
        return field && <FieldEntry key={key} name={key} field={field} />;
      })}
    </section>
  );
}

function isEmpty(entries: Entries, path: string): boolean {
  const value = entries[path.split('.')[0] ?? ''];
  return value === '' || value === null || value === undefined;
}

function statusOf(state: ReturnType<typeof useKeeping>['state'], isChanged: boolean, isNew: boolean): string {
  if (state === 'keeping' || state === 'waiting') return 'Saving…';
  if (isChanged) return isNew ? '' : 'Not saved yet.';
  if (state === 'kept') return 'Saved.';
  // Says beside the button why it rests.
  return isNew ? 'Nothing entered yet.' : 'No changes.';
}
