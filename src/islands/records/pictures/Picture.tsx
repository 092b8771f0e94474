import type { ReactNode } from 'react';
import type { Kind } from '../../../contract/records/records.ts';
import { ClientPicture } from './ClientPicture.tsx';
import { JacketPicture } from './JacketPicture.tsx';
import { NamingPicture } from './NamingPicture.tsx';
import { OutfitPicture } from './OutfitPicture.tsx';
import { ShirtPicture } from './ShirtPicture.tsx';
import { SquarePicture } from './SquarePicture.tsx';
import { TiePicture } from './TiePicture.tsx';

const pictures: Partial<Readonly<Record<Kind, () => ReactNode>>> = {
  clients: ClientPicture,
  shirts: ShirtPicture,
  jackets: JacketPicture,
  ties: TiePicture,
  squares: SquarePicture,
  outfits: OutfitPicture,
  namings: NamingPicture,
};

/** The thing itself, drawn from what stands in the fields; nothing for people, who are not drawn. */
export function Picture({ kind }: { readonly kind: Kind }) {
  const Drawn = pictures[kind];
  return Drawn && <Drawn />;
}
