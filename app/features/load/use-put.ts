import { useCallback } from 'react';
import { change } from '../../data/outbox';
import { plainly } from '../../data/settings';
import { inverseOf } from '../../data/things';
import { useUndo } from '../mishap/undo';
import { useTrip } from '../trip/use-trip';
import type { Draft } from './use-lie';
import { LOAD } from './words';

/** Put somebody or something at a spot, with a way back. */
export function usePut(): (draft: Draft) => void {
  const { held } = useTrip();
  const undo = useUndo();
  return useCallback(
    ({ id, spot }: Draft) => {
      const [list, n] = id.split('/');
      const pointer = list === 'crew' ? `/crew/${n}/seat` : `/load/${n}/spot`;
      const patch = [{ op: 'set' as const, pointer, value: spot }];
      const back = inverseOf(held.doc, patch),
        said = 'moved in the boat';
      void change(held, patch, said);
      undo(said, () =>
        change({ ...held, version: held.version + 1 }, back, plainly(LOAD.undone, { what: said })),
      );
    },
    [held, undo],
  );
}
