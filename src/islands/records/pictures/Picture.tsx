import type { Kind } from '../../../contract/records/records.ts';
import { ClientPicture } from './ClientPicture.tsx';
import { JacketPicture } from './JacketPicture.tsx';
import { NamingPicture } from './NamingPicture.tsx';
import { OutfitPicture } from './OutfitPicture.tsx';
import type { PictureProps } from './pictureProps.ts';
import { ShirtPicture } from './ShirtPicture.tsx';
import { SquarePicture } from './SquarePicture.tsx';
import { TiePicture } from './TiePicture.tsx';

const pictures = {
  clients: ClientPicture,
  shirts: ShirtPicture,
  jackets: JacketPicture,
  ties: TiePicture,
  squares: SquarePicture,
  outfits: OutfitPicture,
  namings: NamingPicture,
} as const satisfies Record<Kind, (props: PictureProps) => unknown>;

/** The thing itself, drawn from what stands in the fields. */
export function Picture({ kind, ...props }: PictureProps & { readonly kind: Kind }) {
  const Drawn = pictures[kind];
  return <Drawn {...props} />;
}
