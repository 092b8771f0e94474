import { database } from '../../server/database.ts';
import { endpoint } from '../../server/http/endpoint.ts';
import { theStudio } from '../../server/studios.ts';

/** The studio itself: its name, and the unit it reads. */
export const GET = endpoint(() => theStudio(database()));
