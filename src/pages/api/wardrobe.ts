import { database } from '../../server/database.ts';
import { endpoint } from '../../server/http/endpoint.ts';
import { wardrobe } from '../../server/wardrobe.ts';

/** The studio with its clients, shirts, jackets and ties. */
export const GET = endpoint(() => wardrobe(database()));
