import { View } from 'react-native';
import { CATALOGUE } from '@escale/core/kit';
import { TextLink } from '../../ui/press';
import { TableHead } from '../../ui/table-head';
import { T } from '../../ui/text';
import { usePalette } from '../../ui/theme';
import { useThings } from '../../data/hooks';
import { plainly } from '../../data/settings';
import type { Held } from '../../data/things';
import { thingHref } from '../../data/where';
import { CountStepper, lentWords, StateSelect, WhereSelect } from './locker-edit';
import { LOCKER } from './words';

const KINDS = new Map(CATALOGUE.kinds.map((kind) => [kind.id, kind.title]));
const cell = { flex: 1, justifyContent: 'center', paddingVertical: 2, paddingRight: 8 } as const;
const HEADS = [
  LOCKER.what,
  LOCKER.kind,
  LOCKER.howMany,
  LOCKER.where,
  LOCKER.how,
  LOCKER.whose,
  LOCKER.dates,
];

/** The locker where there is room: a table whose cells are changed where they stand. */
export function LockerTable({ rows }: { rows: Held<'gear'>[] }) {
  const p = usePalette();
  const { shed } = useThings();
  const names = new Map([...shed.people, ...shed.boats].map(({ id, name }) => [id, name]));
  return (
    <View role="table" aria-label={LOCKER.title}>
      <TableHead heads={HEADS} cell={cell} />
      {rows.map((held) => {
        const { doc } = held;
        const who = [doc.owner, doc.fittedTo].flatMap((id) =>
          id === undefined ? [] : (names.get(id) ?? '?'),
        );
        const dates = [
          doc.lentTo === undefined ? undefined : lentWords(doc),
          doc.inspected === undefined ? undefined : plainly(LOCKER.tested, { on: doc.inspected }),
          doc.expires === undefined ? undefined : plainly(LOCKER.ends, { on: doc.expires }),
        ].filter((words) => words !== undefined);
        return (
          <View
            key={held.id}
            role="row"
            style={{ flexDirection: 'row', minHeight: 52, borderBottomWidth: 1, borderColor: p.line }}
          >
            <View role="cell" style={cell}>
              <TextLink href={thingHref('gear', held.id)}>{doc.name}</TextLink>
            </View>
            <View role="cell" style={cell}>
              <T as="small">{KINDS.get(doc.kind) ?? doc.kind}</T>
            </View>
            <View role="cell" style={cell}>
              <CountStepper held={held} tight />
            </View>
            <View role="cell" style={cell}>
              <WhereSelect held={held} />
            </View>
            <View role="cell" style={cell}>
              <StateSelect held={held} />
            </View>
            <View role="cell" style={cell}>
              <T as="small">{who.join(', ')}</T>
            </View>
            <View role="cell" style={cell}>
              <T as="small">{dates.join(' · ')}</T>
            </View>
          </View>
        );
      })}
    </View>
  );
}
