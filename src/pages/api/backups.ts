import { backupsTold } from '../../server/backups.ts';
import { studioEndpoint } from '../../server/http/endpoint.ts';

/** When the records were last backed up, and whether that went well. */
export const GET = studioEndpoint(({ sql }) => backupsTold(sql));
