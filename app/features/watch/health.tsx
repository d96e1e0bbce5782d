import { useState } from 'react';
import { View } from 'react-native';
import { MS, spanText } from '@escale/core/units';
import type { Red, WatchHealth } from '@escale/core/model';
import { useHealth } from '../../data/hooks';
import { plainly } from '../../data/settings';
import { Button, Row } from '../../ui/button';
import { T } from '../../ui/text';
import { usePalette } from '../../ui/theme';
import { HEALTH, RED, TROUBLE } from './words';

/**
 * How the watch itself is: in one line while all is well, and loud where somebody has to look after it.
 * @param red the place above the plans, where only what is wrong stands; else that below them
 */
export function Health({ red = false }: { red?: boolean }) {
  const p = usePalette();
  const { health, again } = useHealth();
  if (!health || health.ok === red) return null;
  const bad = !health.ok;
  const ink = bad ? p.onCall : p.ink;
  return (
    <View
      role={bad ? 'alert' : 'status'}
      style={{
        gap: 4,
        marginTop: red ? 0 : 12,
        padding: 12,
        borderWidth: bad ? 0 : 1,
        borderColor: p.line,
        backgroundColor: bad ? p.call : 'transparent',
      }}
    >
      <T as="section" heading={2} color={ink}>
        {bad ? HEALTH.bad : HEALTH.good}
      </T>
      {bad ? (
        health.red.map((red) => (
          <T key={red} color={ink}>
            {/* A newer server may know more. */}
            {(SAYS as Partial<typeof SAYS>)[red]?.(health) ?? HEALTH.other}
          </T>
        ))
      ) : (
        <T as="small">
          {HEALTH.swept}
          {health.backup && !health.simulated ? ` ${plainly(HEALTH.copied, { at: health.backup.at })}` : ''}
        </T>
      )}
      {health.clock.standing === 'unconfirmed' ? (
        <T as="small" color={ink}>
          {plainly(HEALTH.leapt, { off: span(health.clock.off) })}
        </T>
      ) : null}
      {health.aside.map((one) => (
        <T key={`${one.plan}${one.kind}${one.to ?? ''}`} color={ink}>
          {plainly(one.to ? HEALTH.message : HEALTH.deadline, {
            title: one.title,
            to: one.to ?? '',
            since: one.since,
            why: TROUBLE[one.trouble] ?? one.trouble,
          })}
        </T>
      ))}
      {health.aside.length > 0 ? <Again again={again} /> : null}
    </View>
  );
}

const span = (ms: number) => spanText(Math.abs(ms) / MS.second);
const MEGABYTE = 1_000_000;

/** Each red thing in words; one that a newer server knows has its own. */
const SAYS: Record<Red, (health: WatchHealth) => string> = {
  silent: () => RED.silent,
  late: ({ oldestDue = 0 }) => plainly(RED.late, { due: span(oldestDue) }),
  untold: ({ oldestUntold = 0 }) => plainly(RED.untold, { untold: span(oldestUntold) }),
  'set-aside': ({ setAside }) => plainly(RED['set-aside'], { n: setAside }),
  clock: ({ clock }) => plainly(RED.clock, { off: span(clock.off) }),
  disk: ({ disk }) => plainly(RED.disk, { free: Math.round((disk?.free ?? 0) / MEGABYTE) }),
  backup: () => RED.backup,
  chain: () => RED.chain,
  certificate: ({ certificate = 0 }) => plainly(RED.certificate, { until: certificate }),
};

function Again({ again }: { again: () => Promise<void> }) {
  const [busy, setBusy] = useState(false);
  const [failed, setFailed] = useState(false);
  const press = () => {
    setBusy(true);
    setFailed(false);
    void again()
      .catch(() => setFailed(true))
      .finally(() => setBusy(false));
  };
  return (
    <>
      <Row>
        <Button kind="onCall" busy={busy} onPress={press}>
          {HEALTH.again}
        </Button>
      </Row>
      {failed ? <T role="status">{HEALTH.failed}</T> : null}
    </>
  );
}
