import { useMemo, useState } from 'react';
import { View } from 'react-native';
import { useRouter } from 'expo-router';
import { getDocumentAsync } from 'expo-document-picker';
import { mutate } from 'swr';
import {
  GEAR_FIELDS,
  gearTable,
  previewGear,
  suggestColumns,
  type GearField,
  type RowPreview,
} from '@escale/core/formats/gear-csv';
import type { Table } from '@escale/core/formats/table';
import { BUNDLE_SCHEMA, emptyShed } from '@escale/core/model';
import { Button, Row } from '../../ui/button';
import { Choice } from '../../ui/choice';
import { Page } from '../../ui/page';
import { T } from '../../ui/text';
import { usePalette } from '../../ui/theme';
import { ask, Refusal } from '../../data/api';
import { useThings } from '../../data/hooks';
import { run } from '../../data/jobs';
import { newId } from '../../data/outbox';
import { save } from '../../ui/save';
import { CATALOGUE } from '@escale/core/kit';
import { SHED } from './words';
import { plainly } from '../../data/settings';

const FIELD_WORD: Record<GearField, string> = {
  id: 'Its id',
  name: 'Name',
  kind: 'Kind',
  count: 'How many',
  stowage: 'Where it travels',
  state: 'State',
  approval: 'Approval',
  made: 'Made',
  expires: 'Ends',
  inspected: 'Last tested',
  charge: 'Charge',
  minMass: 'Fits from, kg',
  maxMass: 'Fits to, kg',
  line: 'Length of its line, m',
  registered: 'Registered',
  borrowedFrom: 'Borrowed from',
};
/** So many rows of each sort are shown; the rest is counted. */
const SHOWN = 40;

/** The locker as a table, out and in: columns are matched, what would change is shown, and then all of it is taken or nothing. */
export function TablePage() {
  const router = useRouter();
  const { shed } = useThings();
  const [table, setTable] = useState<Table>();
  const [columns, setColumns] = useState<Partial<Record<GearField, string>>>({});
  const [said, setSaid] = useState<{ ok: boolean; lines: string[] }>();
  const [reading, setReading] = useState(false);
  const rows = useMemo(
    () =>
      table && table.faults.length === 0 ? previewGear(table, columns, shed.gear, CATALOGUE, newId) : [],
    [table, columns, shed.gear],
  );
  const pick = async () => {
    const picked = await getDocumentAsync({ type: 'text/csv' });
    const file = picked.canceled ? undefined : picked.assets[0]?.file;
    if (!file) return;
    setSaid(undefined);
    setTable(undefined);
    setReading(true);
    try {
      await run('table', { text: await file.text() }, ({ part }) => {
        if (!part) return;
        setTable(part);
        setColumns(suggestColumns(part.columns));
      });
    } catch (error) {
      const fault = error instanceof Error ? error.message : String(error);
      setSaid({ ok: false, lines: [SHED.faulty, fault] });
    } finally {
      setReading(false);
    }
  };
  const good = rows.filter((r) => r.item && (r.what === 'new' || r.what === 'changed'));
  const takeIn = async () => {
    const bundle = {
      escale: 'bundle',
      schema: BUNDLE_SCHEMA,
      asOf: new Date().toISOString(),
      shed: { ...emptyShed(), gear: good.map((r) => r.item!) },
      trips: [],
    };
    try {
      await ask('/api/import', bundle);
      await mutate('/api/things');
      setSaid({ ok: true, lines: [plainly(SHED.takenIn, { n: good.length })] });
      setTable(undefined);
    } catch (error) {
      setSaid({
        ok: false,
        lines:
          error instanceof Refusal ? [error.title, ...error.faults] : ['No signal: nothing was taken in.'],
      });
    }
  };
  return (
    <Page
      title="The locker as a table"
      lead={SHED.table}
      aside={
        <Button kind="quiet" onPress={() => router.push('/shed')}>
          The shed
        </Button>
      }
    >
      <Row>
        <Button onPress={() => save('escale-locker.csv', 'text/csv', gearTable(shed.gear))}>
          Save as CSV
        </Button>
        <Button busy={reading} onPress={() => void pick()}>
          Open a CSV
        </Button>
      </Row>
      {said ? (
        <View role={said.ok ? 'status' : 'alert'}>
          {said.lines.map((line) => (
            <T key={line} as="strong">
              {line}
            </T>
          ))}
        </View>
      ) : null}
      {table && table.faults.length > 0 ? (
        <View role="alert" style={{ gap: 2 }}>
          <T as="strong">{SHED.faulty}</T>
          {table.faults.map((fault) => (
            <T key={fault}>{fault}</T>
          ))}
        </View>
      ) : null}
      {table && table.faults.length === 0 ? (
        <>
          <T as="section" heading={2}>
            Which column is what
          </T>
          {GEAR_FIELDS.map((field) => (
            <View key={field} style={{ gap: 2 }}>
              <T as="label">{FIELD_WORD[field]}</T>
              <Choice
                label={FIELD_WORD[field]}
                options={[
                  { value: '', label: 'not in the table' },
                  ...table.columns.map((c) => ({ value: c, label: c })),
                ]}
                value={columns[field] ?? ''}
                onChange={(c) => setColumns(withColumn(columns, field, c))}
              />
            </View>
          ))}
          <T as="section" heading={2}>
            What would change
          </T>
          <Preview rows={rows} />
          <Button kind="main" cant={good.length === 0 && SHED.noRow} onPress={() => void takeIn()}>
            {plainly(SHED.takeIn, { n: good.length, all: rows.length })}
          </Button>
        </>
      ) : null}
    </Page>
  );
}

function withColumn(
  columns: Partial<Record<GearField, string>>,
  field: GearField,
  column: string | undefined,
): Partial<Record<GearField, string>> {
  const { [field]: _old, ...rest } = columns;
  return column ? { ...rest, [field]: column } : rest;
}

const WHAT: Record<RowPreview['what'], string> = {
  refused: 'Refused',
  new: 'New',
  changed: 'Changed',
  same: 'As it is',
};

function Preview({ rows }: { rows: RowPreview[] }) {
  const p = usePalette();
  return (
    <View style={{ gap: 10 }}>
      {(Object.keys(WHAT) as RowPreview['what'][]).map((what) => {
        const some = rows.filter((r) => r.what === what);
        return some.length === 0 ? null : (
          <View key={what}>
            <T as="caps">{plainly(SHED.group, { what: WHAT[what], n: some.length })}</T>
            {what === 'same'
              ? null
              : some.slice(0, SHOWN).map((r) => (
                  <View key={r.row} style={{ borderBottomWidth: 1, borderColor: p.line, paddingVertical: 4 }}>
                    <T>{plainly(SHED.row, { n: r.row, name: r.name || SHED.noName })}</T>
                    {r.faults.map((f) => (
                      <T key={f} as="small">
                        {f}
                      </T>
                    ))}
                  </View>
                ))}
            {some.length > SHOWN && what !== 'same' ? (
              <T as="small">{plainly(SHED.more, { n: some.length - SHOWN })}</T>
            ) : null}
          </View>
        );
      })}
    </View>
  );
}
