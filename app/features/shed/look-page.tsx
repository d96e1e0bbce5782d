import { useState } from 'react';
import { View } from 'react-native';
import { useLocalSearchParams, useRouter } from 'expo-router';
import { CATALOGUE, lookPatch, toLookAt } from '@escale/core/kit';
import type { GearItem, Patch } from '@escale/core/model';
import { STOWAGE } from '@escale/core/model/lists';
import { Button, Row } from '../../ui/button';
import { Tick, optionsOf } from '../../ui/choice';
import { Empty, Page } from '../../ui/page';
import { Select } from '../../ui/select';
import { T } from '../../ui/text';
import { usePalette } from '../../ui/theme';
import { useKind, useThings, useToday } from '../../data/hooks';
import { change } from '../../data/outbox';
import type { Held } from '../../data/things';
import { plainly } from '../../data/settings';
import { LOOK } from './words';

const KINDS = new Map(CATALOGUE.kinds.map((k) => [k.id, k]));
const PLACES = optionsOf(STOWAGE);

/** What is said of one thing on this page until it is sent. */
interface Said {
  ok: boolean;
  place?: GearItem['stowage'];
}

/** Many things at once: those nobody has looked at yet, each with what to look for and where it travels. */
export function LookPage() {
  const router = useRouter();
  const { back } = useLocalSearchParams<{ back?: string }>();
  const { ready } = useThings();
  const today = useToday();
  const held = useKind('gear');
  const [said, setSaid] = useState<ReadonlyMap<string, Said>>(new Map());
  const ids = new Set(toLookAt(held.map((h) => h.doc)).map((g) => g.id));
  const open = held.filter((h) => ids.has(h.id));
  const put = (id: string, more: Partial<Said>) =>
    setSaid(new Map(said).set(id, { ok: false, ...said.get(id), ...more }));
  const looked = open.filter((h) => said.get(h.id)?.ok);
  const all = looked.length === open.length;
  const send = async () => {
    for (const thing of open) {
      const patch = patchOf(thing, said.get(thing.id), today);
      if (patch.length > 0) await change(thing, patch, plainly(LOOK.change, { name: thing.doc.name }));
    }
    setSaid(new Map());
  };
  return (
    <Page
      title={LOOK.title}
      lead={LOOK.lead}
      aside={
        <Button kind="quiet" onPress={() => router.push(back?.startsWith('/') ? back : '/shed')}>
          {LOOK.back}
        </Button>
      }
    >
      {ready && open.length === 0 ? <Empty title={LOOK.none} why={LOOK.noneWhy} /> : null}
      {open.length > 1 ? (
        <Row>
          <Button onPress={() => setSaid(new Map(open.map((h) => [h.id, { ...said.get(h.id), ok: !all }])))}>
            {all ? LOOK.noneOf : LOOK.allOf}
          </Button>
        </Row>
      ) : null}
      {open.map((thing) => (
        <One key={thing.id} item={thing.doc} said={said.get(thing.id)} put={(more) => put(thing.id, more)} />
      ))}
      {open.length > 0 ? (
        <View style={{ gap: 6 }}>
          <Button kind="main" wet cant={said.size === 0 && LOOK.oneFirst} onPress={() => void send()}>
            {plainly(LOOK.say, { n: looked.length })}
          </Button>
          <T as="small">{LOOK.means}</T>
        </View>
      ) : null}
    </Page>
  );
}

function patchOf({ doc }: Held<'gear'>, said: Said | undefined, today: string): Patch[] {
  if (!said) return [];
  return [
    ...(said.place !== undefined && said.place !== doc.stowage
      ? [{ op: 'set' as const, pointer: '/stowage', value: said.place }]
      : []),
    ...(said.ok ? lookPatch(doc, CATALOGUE, today) : []),
  ];
}

function One({
  item,
  said,
  put,
}: {
  item: GearItem;
  said: Said | undefined;
  put: (more: Partial<Said>) => void;
}) {
  const p = usePalette();
  const test = KINDS.get(item.kind)?.test;
  return (
    <View
      style={{
        flexDirection: 'row',
        flexWrap: 'wrap',
        alignItems: 'center',
        columnGap: 12,
        borderBottomWidth: 1,
        borderColor: p.line,
        paddingBottom: 6,
      }}
    >
      <View style={{ flexGrow: 1, flexShrink: 1, flexBasis: 220 }}>
        <Tick
          label={item.name}
          on={said?.ok ?? false}
          onChange={(ok) => put({ ok })}
          note={test ? plainly(LOOK.test, { how: test.how, passes: test.passes }) : LOOK.plain}
        />
      </View>
      <Select
        label={plainly(LOOK.where, { name: item.name })}
        options={PLACES}
        value={said?.place ?? item.stowage}
        onChange={(place) => put({ place: place as GearItem['stowage'] })}
      />
    </View>
  );
}
