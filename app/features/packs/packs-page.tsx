import { useState } from 'react';
import { View } from 'react-native';
import { useRouter } from 'expo-router';
import { getDocumentAsync } from 'expo-document-picker';
import { readPack } from '@escale/core/formats/pack';
import type { OwnPack, RulePack } from '@escale/core/model';
import { contentHash, runExamples, PACKS } from '@escale/core/rules';
import { Button, Row } from '../../ui/button';
import { Page } from '../../ui/page';
import { T } from '../../ui/text';
import { usePalette } from '../../ui/theme';
import { useKind, useToday } from '../../data/hooks';
import { create, newId } from '../../data/outbox';
import { statusOf } from './status';
import { PACKS as SAID } from './words';
import { plainly } from '../../data/settings';
import { CardLink } from '../../ui/press';

/** Every rule list, shipped and own, with how far it can be trusted. */
export function PacksPage() {
  const router = useRouter();
  const own = useKind('pack');
  const [said, setSaid] = useState<{ ok: boolean; lines: string[] }>();
  const load = async () => {
    const picked = await getDocumentAsync({ type: 'application/json' });
    const file = picked.canceled ? undefined : picked.assets[0]?.file;
    if (!file) return;
    const read = readPack(await file.text());
    if (!read.ok) return setSaid({ ok: false, lines: ['This rule pack can’t be taken.', ...read.faults] });
    await create('pack', { id: newId(), pack: read.pack } as OwnPack, read.pack.title);
    setSaid({
      ok: true,
      lines: [
        plainly(SAID.takenIn, { title: read.pack.title, version: read.pack.version }),
        ...read.broken.map((b) => plainly(SAID.exampleFails, { which: b })),
      ],
    });
  };
  return (
    <Page
      title="Rule packs"
      lead="What the law asks, and what practice advises, as lists that can be read, checked and shared."
      aside={
        <Button kind="quiet" onPress={() => router.push('/shed')}>
          The shed
        </Button>
      }
    >
      <Row>
        <Button onPress={() => void load()}>Load a pack</Button>
      </Row>
      {said ? (
        <View role={said.ok ? 'status' : 'alert'} style={{ gap: 2 }}>
          {said.lines.map((line) => (
            <T key={line}>{line}</T>
          ))}
        </View>
      ) : null}
      {own.length > 0 ? <T as="caps">Your own</T> : null}
      {own.map((held) => (
        <PackCard key={held.id} pack={held.doc.pack} href={`/shed/packs/${held.id}`} />
      ))}
      <T as="caps">Shipped with Escale</T>
      {PACKS.map((pack) => (
        <PackCard key={pack.id} pack={pack} href={`/shed/packs/${pack.id}`} />
      ))}
    </Page>
  );
}

function PackCard({ pack, href }: { pack: RulePack; href: string }) {
  const p = usePalette();
  const today = useToday();
  const results = runExamples(pack);
  const bad = results.filter((r) => r.came !== r.wanted).length;
  return (
    <CardLink
      label={pack.title}
      href={href}
      style={{
        borderWidth: 1,
        borderColor: p.ink,
        backgroundColor: p.raised,
        padding: 12,
        gap: 2,
        minHeight: 64,
      }}
    >
      <T as="section" heading={2}>
        {pack.title}
      </T>
      <T as="label" style={{ fontSize: 14 }}>
        {plainly(SAID.card, {
          authority: pack.authority,
          version: pack.version,
          rules: pack.rules.length,
          hash: contentHash(pack),
        })}
      </T>
      <T as="small">
        {results.length > 0
          ? plainly(SAID.statusHold, {
              status: statusOf(pack, today),
              good: results.length - bad,
              all: results.length,
            })
          : plainly(SAID.statusNone, { status: statusOf(pack, today) })}
      </T>
    </CardLink>
  );
}
