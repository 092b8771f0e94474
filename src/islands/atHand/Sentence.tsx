import { useQueryClient } from '@tanstack/react-query';
import { useRef, useState } from 'react';
import { useFormContext } from 'react-hook-form';
import type { Wardrobe } from '../../contract/records/records.ts';
import { type AimCode, aimCodes, aims } from '../../core/plan/aims.ts';
import { RecordChooser } from '../records/RecordChooser.tsx';
import { type ChoiceGroup, Chooser } from '../ui/Chooser.tsx';
import { wardrobeQuery } from '../wire/queries.ts';
import { groups, type PieceCode } from './pieces.ts';
import { type AtHand, withAim, withClient, withJacket, withOutfit, withShirt, withTie } from './values.ts';

interface SentenceProps {
  readonly wardrobe: Wardrobe;
  readonly values: AtHand;
  readonly onTurnTo: (group: PieceCode) => void;
  /** The words that are said; all of them on the bench. */
  readonly words?: readonly PieceCode[];
}

const noJacket = 'none';

/** Who wears what, as a sentence whose words can be exchanged. */
export function Sentence({ wardrobe, values, onTurnTo, words = groups }: SentenceProps) {
  const { getValues, reset } = useFormContext<AtHand>();
  const queries = useQueryClient();
  const asked = useRef<string>(undefined);
  const [fetching, setFetching] = useState<string>();
  const take = (group: PieceCode, next: AtHand) => {
    reset(next);
    onTurnTo(group);
  };
  const { outfits, shirts, jackets, ties } = wardrobe;
  const client = wardrobe.client?.id === values.client.id ? wardrobe.client : null;
  const ofWhom = { id: values.client.id, name: values.client.label };

  const takeClient = async (id: string, name: string) => {
    asked.current = id;
    setFetching(name);
    const his = await queries.fetchQuery(wardrobeQuery(id)).catch(() => undefined);
    // Another one may have been chosen while this one was fetched.
    if (asked.current !== id) return;
    setFetching(undefined);
    if (his?.client) take('client', withClient(getValues(), his.client, his));
  };

  return (
    <div className="flex flex-wrap items-center gap-x-1.5 gap-y-1 text-lg">
      <RecordChooser kind="clients" label="Client" value={values.client.id} placeholder={values.client.label} onChoose={takeClient} />
      {fetching && (
        <span role="status" className="text-soft">
          (fetching {fetching} …)
        </span>
      )}
      {client && outfits.length > 0 && (
        <>
          <span className="text-soft">for</span>
          <Chooser
            label="Outfit"
            value={values.outfit?.id ?? null}
            placeholder="nothing in particular"
            groups={[{ title: `${client.name}’s outfits`, choices: outfits.map(({ id, label }) => ({ key: id, label })) }]}
            onChoose={(key) => {
              const outfit = outfits.find(({ id }) => id === key);
              if (outfit) take('shirt', withOutfit(values, outfit, client, wardrobe));
            }}
          />
        </>
      )}
      <span className="text-soft">in</span>
      <Chooser
        label="Shirt"
        value={values.shirt.id}
        placeholder={values.shirt.label}
        groups={byOwner(shirts, ofWhom, ({ colour }) => [colour])}
        onChoose={(key) => {
          const shirt = shirts.find(({ id }) => id === key);
          if (shirt) take('shirt', withShirt(values, shirt));
        }}
      />
      <span className="text-soft">and</span>
      <Chooser
        label="Jacket"
        value={values.jacket ? values.jacket.id : noJacket}
        placeholder={values.jacket?.label ?? 'no jacket'}
        groups={[...byOwner(jackets, ofWhom, ({ colour }) => [colour]), { title: 'Or', choices: [{ key: noJacket, label: 'no jacket' }] }]}
        onChoose={(key) => {
          const jacket = jackets.find(({ id }) => id === key);
          take('jacket', withJacket(values, jacket ?? null));
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
              if (tie) take('tie', withTie(values, tie));
            }}
          />
        </>
      )}
      <span className="text-soft">to</span>
      <Chooser
        label="Aim"
        value={values.aim === 'own' ? null : values.aim}
        placeholder="an aim of its own"
        groups={[{ title: 'The tip shall end at', choices: aimCodes.map((code) => ({ key: code, label: aims[code].label })) }]}
        onChoose={(key) => take('aim', withAim(values, key as AimCode))}
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
