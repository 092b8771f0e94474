import type { Frame } from '../../../core/index.ts';
import { usePreferences } from '../../device/preferences.tsx';
import { useRecord } from './useRecord.ts';

/** Whose left and right the moves on a record speak of: the view that was chosen, and the blade on the side it hangs on there. */
export function useFrame(): Frame {
  const { entries, studio } = useRecord();
  const { view } = usePreferences().preferences;
  const own = entries['blade'];
  return { view, blade: own === 'left' || own === 'right' ? own : (studio.person?.blade ?? 'right') };
}
