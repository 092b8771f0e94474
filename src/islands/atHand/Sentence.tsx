import { lazy, memo, Suspense, useState } from 'react';
import { draftLabels, type PieceKind } from '../../contract/records/draftPieces.ts';
import { type AimCode, aimCodes, aims } from '../../core/plan/aims.ts';
import { noRecord, RecordChooser } from '../records/RecordChooser.tsx';
import { Chooser } from '../ui/Chooser.tsx';
import type { ChoiceGroup } from '../ui/choices.ts';
import { useEntryPart } from '../ui/entryStore.ts';
import { type PieceCode, pieces } from './pieces.ts';
import { useSurroundings } from './useAtHand.ts';
import { useDraftPiece } from './useDraftPiece.ts';
import { useTakeClient } from './useTakeClient.ts';
import { type AtHand, withAim, withJacket, withOutfit, withShirt, withTie } from './values.ts';

const NewClient = lazy(() => import('./NewClient.tsx').then(({ NewClient: Dialog }) => ({ default: Dialog })));

interface SentenceProps {
  readonly onTurnTo?: (piece: PieceCode) => void;
  /** The words that are said; all of them at a fitting. */
  readonly words?: readonly PieceCode[];
}

const noJacket = 'none';
/** Before the name of a piece that is not measured yet, among the choices. */
const draftKey = 'draft ';

/** Who wears what, as a sentence whose words can be exchanged. */
export const Sentence = memo(function Sentence({ onTurnTo, words = pieces }: SentenceProps) {
  const { store, wardrobe, client } = useSurroundings();
  const wearer = useEntryPart(store, 'client');
  const outfit = useEntryPart(store, 'outfit');
  const shirt = useEntryPart(store, 'shirt');
  const jacket = useEntryPart(store, 'jacket');
  const tie = useEntryPart(store, 'tie');
  const aim = useEntryPart(store, 'aim');
  const told = useEntryPart(store, 'told');
  const clients = useTakeClient();
  const [adding, setAdding] = useState(false);
  const draft = useDraftPiece();
  const take = (piece: PieceCode, next: (now: AtHand) => AtHand) => {
    // What was told of the choice before goes with it.
    store.change((now) => {
      const then = next(now);
      return then.told === now.told ? { ...then, told: null } : then;
    });
    onTurnTo?.(piece);
  };
  const { outfits, shirts, jackets, ties } = wardrobe;
  const ofWhom = { id: wearer.id, name: wearer.label };
  const drafts = (kind: PieceKind): ChoiceGroup => ({
    title: 'New, not measured yet',
    choices: draftLabels(kind).map((label) => ({ key: draftKey + label, label })),
  });
  /** Takes what was chosen: a piece on record, or a draft. */
  const takePiece = (kind: PieceKind, key: string, onRecord: () => void) => {
    if (key.startsWith(draftKey)) {
      draft.take(kind, key.slice(draftKey.length));
      onTurnTo?.(kind === 'shirts' ? 'shirt' : kind === 'jackets' ? 'jacket' : 'tie');
    } else onRecord();
  };

  const takeClient = (id: string, name: string) => {
    if (id === noRecord) setAdding(true);
    else void clients.take(id, name).then((taken) => taken && onTurnTo?.('client'));
  };

  return (
    <>
      <div className="flex min-w-0 flex-wrap items-center gap-x-1.5 gap-y-1 lg:flex-nowrap 2xl:text-lg">
        <RecordChooser
          kind="clients"
          label="Client"
          value={wearer.id}
          placeholder={wearer.label}
          none="New client…"
          onChoose={takeClient}
        />
        {adding && (
          <Suspense>
            <NewClient onClose={() => setAdding(false)} />
          </Suspense>
        )}
        {clients.fetching && (
          <span role="status" className="text-soft">
            (loading {clients.fetching}…)
          </span>
        )}
        {client && outfits.length > 0 && (
          <>
            <span className="shrink-0 text-soft">for</span>
            <Chooser
              label="Outfit"
              value={outfit?.id ?? null}
              placeholder="no outfit"
              groups={[{ title: `${client.name}’s outfits`, choices: outfits.map(({ id, label }) => ({ key: id, label })) }]}
              onChoose={(key) => {
                const outfit = outfits.find(({ id }) => id === key);
                if (outfit) take('shirt', (now) => withOutfit(now, outfit, client, wardrobe));
              }}
            />
          </>
        )}
        <span className="shrink-0 text-soft">in</span>
        <Chooser
          label="Shirt"
          value={shirt.id}
          placeholder={shirt.label}
          groups={[...byOwner(shirts, ofWhom, ({ colour }) => (colour ? [colour] : [])), drafts('shirts')]}
          onChoose={(key) =>
            takePiece('shirts', key, () => {
              const shirt = shirts.find(({ id }) => id === key);
              if (shirt) take('shirt', (now) => withShirt(now, shirt));
            })
          }
        />
        {shirt.draft && <DraftMark />}
        <span className="shrink-0 text-soft">and</span>
        <Chooser
          label="Jacket"
          value={jacket ? jacket.id : noJacket}
          placeholder={jacket?.label ?? 'no jacket'}
          groups={[
            ...byOwner(jackets, ofWhom, ({ colour }) => (colour ? [colour] : [])),
            { title: 'Or', choices: [{ key: noJacket, label: 'no jacket' }] },
            drafts('jackets'),
          ]}
          onChoose={(key) =>
            takePiece('jackets', key, () => {
              const jacket = jackets.find(({ id }) => id === key);
              take('jacket', (now) => withJacket(now, jacket ?? null));
            })
          }
        />
        {jacket?.draft && <DraftMark />}
        {words.includes('tie') && (
          <>
            <span className="shrink-0 text-soft">with</span>
            <Chooser
              label="Tie"
              value={tie.id}
              placeholder={tie.label}
              groups={[...byOwner(ties, ofWhom, ({ colours }) => colours), drafts('ties')]}
              onChoose={(key) =>
                takePiece('ties', key, () => {
                  const tie = ties.find(({ id }) => id === key);
                  if (tie) take('tie', (now) => withTie(now, tie));
                })
              }
            />
            {tie.draft && <DraftMark />}
          </>
        )}
        <span className="shrink-0 text-soft">aiming for</span>
        <Chooser
          label="Aim"
          value={aim === 'own' ? null : aim}
          placeholder="another place"
          groups={[{ title: 'The blade tip should end at', choices: aimCodes.map((code) => ({ key: code, label: aims[code].label })) }]}
          onChoose={(key) => take('aim', (now) => withAim(now, key as AimCode))}
        />
      </div>
      <p role="status" className="text-note leading-tight">
        {draft.state === 'waiting'
          ? 'Not added yet: the studio’s records can’t be reached. Still trying.'
          : draft.state === 'refused'
            ? 'Not added to the records; it stands at hand all the same.'
            : told}
      </p>
    </>
  );
});

/** Beside a piece whose measures are those such pieces usually have. */
function DraftMark() {
  return (
    <span className="-ml-1 shrink-0 text-note text-soft" title="Usual measures; none of its own was taken yet">
      draft
    </span>
  );
}

/** The client's own first, then the studio's. */
function byOwner<T extends { readonly id: string; readonly clientId: string | null; readonly label: string }>(
  all: readonly T[],
  client: { readonly id: string | null; readonly name: string },
  colours: (each: T) => readonly string[],
): ChoiceGroup[] {
  const choices = (keep: (each: T) => boolean) =>
    all.filter(keep).map((each) => ({ key: each.id, label: each.label, colours: colours(each) }));
  return [
    { title: `${client.name}’s own`, choices: choices((each) => client.id !== null && each.clientId === client.id) },
    { title: 'The studio’s', choices: choices((each) => each.clientId === null) },
  ];
}
