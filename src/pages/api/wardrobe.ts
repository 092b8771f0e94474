import { database } from '../../server/database.ts';
import { endpoint } from '../../server/http/endpoint.ts';
import { wardrobe } from '../../server/wardrobe.ts';

/** What a client can be dressed from: `client`, or the one fitted last. */
export const GET = endpoint(({ url }) => wardrobe(database(), url.searchParams.get('client') ?? undefined));
