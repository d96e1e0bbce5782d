import { useCallback } from 'react';
import type { Mend } from '@escale/core/model';
import { change } from '../../data/outbox';
import { useThings } from '../../data/hooks';
import { inverseOf } from '../../data/things';
import { useUndo } from '../mishap/undo';
import { TRIP } from './words';
import { plainly } from '../../data/settings';

/** Do a mend that is done on the spot, with a way back. */
export function useDoMend(): (mend: Mend, label: string) => void {
  const { things } = useThings();
  const undo = useUndo();
  return useCallback(
    (mend, label) => {
      if (!('do' in mend)) return;
      const held = things.find((h) => h.id === mend.do.id);
      if (!held) return;
      const back = inverseOf(held.doc, mend.do.patch);
      void change(held, mend.do.patch, label);
      undo(label, () =>
        change({ ...held, version: held.version + 1 }, back, plainly(TRIP.undone, { what: label })),
      );
    },
    [things, undo],
  );
}
