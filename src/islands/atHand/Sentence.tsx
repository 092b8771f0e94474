import { useQueryClient } from '@tanstack/react-query';
import { useRef, useState } from 'react';
import { type AimCode, aimCodes, aims } from '../../core/plan/aims.ts';
import { RecordChooser } from '../records/RecordChooser.tsx';
import { Chooser } from '../ui/Chooser.tsx';
import type { ChoiceGroup } from '../ui/choices.ts';
import { wardrobeQuery } from '../wire/queries.ts';
import { type PieceCode, pieces } from './pieces.ts';
import { useAtHand } from './useAtHand.ts';
import { type AtHand, withAim, withClient, withJacket, withOutfit, withShirt, withTie } from './values.ts';

interface SentenceProps {
  readonly onTurnTo?: (piece: PieceCode) => void;
  /** The words that are said; all of them at a fitting. */
  readonly words?: readonly PieceCode[];
}

const noJacket = 'none';

/** Who wears what, as a sentence whose words can be exchanged. */
export function Sentence({ onTurnTo, words = pieces }: SentenceProps) {
  const { store, values, wardrobe, client } = useAtHand();
  const queries = useQueryClient();
  const asked = useRef<string>(undefined);
  const [fetching, setFetching] = useState<string>();
  const take = (piece: PieceCode, next: (now: AtHand) => AtHand) => {
    store.change(next);
    onTurnTo?.(piece);
  };
  const { outfits, shirts, jackets, ties } = wardrobe;
  const ofWhom = { id: values.client.id, name: values.client.label };

  const takeClient = async (id: string, name: string) => {
    asked.current = id;
    setFetching(name);
    const theirs = await queries.fetchQuery(wardrobeQuery(id)).catch(() => undefined);
    // Another one may have been chosen while this one was fetched.
    if (asked.current !== id) return;
    setFetching(undefined);
    const { client: next } = theirs ?? {};
    if (theirs && next) take('client', (now) => withClient(now, next, theirs));
  };

  return (
    <div className="flex min-w-0 flex-wrap items-center gap-x-1.5 gap-y-1 2xl:text-lg">
      <RecordChooser kind="clients" label="Client" value={values.client.id} placeholder={values.client.label} onChoose={takeClient} />
      {fetching && (
        <span role="status" className="text-soft">
          (loading {fetching}…)
        </span>
      )}
      {client && outfits.length > 0 && (
        <>
          <span className="text-soft">for</span>
          <Chooser
            label="Outfit"
            value={values.outfit?.id ?? null}
            placeholder="no outfit"
            groups={[{ title: `${client.name}’s outfits`, choices: outfits.map(({ id, label }) => ({ key: id, label })) }]}
            onChoose={(key) => {
              const outfit = outfits.find(({ id }) => id === key);
              if (outfit) take('shirt', (now) => withOutfit(now, outfit, client, wardrobe));
            }}
          />
        </>
      )}
      <span className="text-soft">in</span>
      <Chooser
        label="Shirt"
        value={values.shirt.id}
        placeholder={values.shirt.label}
        groups={byOwner(shirts, ofWhom, ({ colour }) => (colour ? [colour] : []))}
        onChoose={(key) => {
          const shirt = shirts.find(({ id }) => id === key);
          if (shirt) take('shirt', (now) => withShirt(now, shirt));
        }}
      />
      <span className="text-soft">and</span>
      <Chooser
        label="Jacket"
        value={values.jacket ? values.jacket.id : noJacket}
        placeholder={values.jacket?.label ?? 'no jacket'}
        groups={[
          ...byOwner(jackets, ofWhom, ({ colour }) => (colour ? [colour] : [])),
          { title: 'Or', choices: [{ key: noJacket, label: 'no jacket' }] },
        ]}
        onChoose={(key) => {
          const jacket = jackets.find(({ id }) => id === key);
          take('jacket', (now) => withJacket(now, jacket ?? null));
        }}
      />
      {words.includes('tie') && (
        <>
          <span className="text-soft">with</span>
          <Chooser
            label="Tie"
            value={values.tie.id}
            placeholder={values.tie.label}
            groups={byOwner(ties, ofWhom, ({ colours }) => colours)}
            onChoose={(key) => {
              const tie = ties.find(({ id }) => id === key);
              if (tie) take('tie', (now) => withTie(now, tie));
            }}
          />
        </>
      )}
      <span className="text-soft">aiming for</span>
      <Chooser
        label="Aim"
        value={values.aim === 'own' ? null : values.aim}
        placeholder="another place"
        groups={[{ title: 'The blade tip should end at', choices: aimCodes.map((code) => ({ key: code, label: aims[code].label })) }]}
        onChoose={(key) => take('aim', (now) => withAim(now, key as AimCode))}
      />
    </div>
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
