import { useMemo } from 'react';
import { sumsOf, type Entry } from '@escale/core/logbook/entries';
import { saysTo, type Says } from '@escale/core/say';
import { Button, Row } from '../../ui/button';
import { SHEET } from '../../ui/paper-sheet';
import { TextLink } from '../../ui/press';
import { useToday } from '../../data/hooks';
import { useReader } from '../../data/settings';
import { useEntries } from './use-entries';
import { LOG } from './words';

const CELL = {
  borderBottom: '1px solid',
  padding: '3px 8px 3px 0',
  textAlign: 'left',
  verticalAlign: 'top',
} as const;

/** Every trip on paper. */
export function LogbookPaper() {
  const entries = useEntries();
  const today = useToday();
  const reader = useReader('UTC');
  const says = useMemo(() => saysTo(reader), [reader]);
  const sums = sumsOf(entries);
  return (
    <main data-paper="sheet" style={SHEET}>
      <div data-screen>
        <Row>
          <Button kind="main" onPress={() => window.print()}>
            {LOG.print}
          </Button>
          <TextLink href="/practice/logbook">{LOG.title}</TextLink>
        </Row>
      </div>
      <h1>{says(LOG.printed, { on: today })}</h1>
      <p>{says(LOG.row, { n: sums.trips, out: sums.seconds, metres: sums.metres })}</p>
      <table style={{ borderCollapse: 'collapse', width: '100%', fontSize: 12 }}>
        <thead>
          <tr>
            {LOG.cells.map((head) => (
              <th key={head} scope="col" style={CELL}>
                {head}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {entries.map((entry) => (
            <tr key={entry.id}>
              {cellsOf(entry, says).map((cell, i) => (
                <td key={LOG.cells[i]} style={CELL}>
                  {cell}
                </td>
              ))}
            </tr>
          ))}
        </tbody>
      </table>
    </main>
  );
}

function cellsOf(entry: Entry, says: Says): string[] {
  const { on, title, boat, who, out, metres, wind, cold, off, kept } = entry;
  return [
    says('{on:date}', { on }),
    title ?? LOG.untitled,
    boat ?? '',
    who.join(', '),
    out === undefined ? '' : says('{out:span}', { out }),
    metres === undefined ? '' : says('{metres:distance}', { metres }),
    wind === undefined ? '' : says('{wind:speed}', { wind }),
    cold === undefined ? '' : says('{cold:temperature}', { cold }),
    off === undefined ? '' : says('{off:distance}', { off }),
    kept > 0 ? String(kept) : '',
  ];
}
