import { test } from '@jest/globals';
import { inputOf } from '../../test/demo';
import { render } from '../say';
import * as w from '.';
const reader = { units: 'metric', zone: 'UTC', locale: 'en-GB' } as const;
const m = (x: number) => (x === Infinity ? '∞' : Math.round(x / 60) + '');
test('x', () => {
  for (const n of [0, 1]) {
    const input = inputOf(n, {});
    let t = performance.now();
    const s = w.standingOf(input);
    console.log('standing', performance.now() - t);
    const { schedule } = s.assessment;
    const at = schedule!.turnBack ?? schedule!.leave;
    let out = '';
    for (const row of w.incidentsFor(s.context)) {
      const moment = w.plannedMoment(s, at)!;
      t = performance.now();
      const r = w.reckon(s, moment, { id: row.id });
      const gaps = w.gapsOf(r);
      const told = w.timelineOf(s, r);
      out += `\n### ${row.id} ${(performance.now() - t).toFixed(1)} ms\n`;
      for (const e of told)
        out += `  [${e.after ? m(e.after.low) + '–' + m(e.after.high) : ''}] ${e.tone} ${e.id}: ${e.says.map((p) => render(p, reader)).join(' ')}\n`;
      for (const g of gaps) out += `  GAP ${g.grade}${g.open ? '?' : ''} ${render(w.sayGap(g), reader)}\n`;
    }
    console.log(out);
    t = performance.now();
    let first = 0;
    const cols: w.Column[] = [];
    for (const p of w.glance(s)) {
      if (!first) first = performance.now() - t;
      cols.push(p.column);
    }
    console.log('glance', performance.now() - t, 'first', first, cols.length);
    console.log(w.worstMoments(cols));
    for (const id of ['capsized', 'silence', 'overboard']) {
      if (!w.incidentsFor(s.context).some((r) => r.id === id)) continue;
      t = performance.now();
      const g = w.bestChanges({ standing: s, moment: w.plannedMoment(s, at)!, incident: { id } });
      let x = g.next();
      let k = 0;
      while (!x.done) {
        x = g.next();
        k++;
      }
      console.log(
        id,
        'changes',
        k,
        performance.now() - t,
        x.value
          .slice(0, 6)
          .map((y) => [
            y.change.id,
            render(y.change.label, reader),
            y.then && y.then.measure.id + m(y.then.gap.low) + '-' + m(y.then.gap.high),
          ]),
      );
    }
  }
});
