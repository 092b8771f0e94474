import { studioEndpoint } from '../../server/http/endpoint.ts';
import { wardrobe } from '../../server/wardrobe.ts';

/** What a client can be dressed from: `client`, or the one fitted last. */
export const GET = studioEndpoint((asked) => wardrobe(asked, asked.url.searchParams.get('client') ?? undefined));
