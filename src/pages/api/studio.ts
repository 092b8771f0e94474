import type { StudioSeen } from '../../contract/records/records.ts';
import { studioEndpoint } from '../../server/http/endpoint.ts';

/** The studio itself: its name, the unit it reads, its time zone; and who is dressing on this device. */
export const GET = studioEndpoint(({ studio, person }) => ({ ...studio, person }) satisfies StudioSeen);
