import { View } from 'react-native';
import useSWR from 'swr';
import type { PlanRecord, PlanView } from '@escale/core/model';
import { saysTo } from '@escale/core/say';
import { ask } from '../../data/api';
import { useMessages } from '../../data/hooks';
import { useReader } from '../../data/settings';
import { Fold } from '../../ui/fold';
import { T } from '../../ui/text';
import { usePalette } from '../../ui/theme';
import { TROUBLE, RECORD, FATE } from './words';

/** The chain of what happened, reckoned anew as it is shown: nobody can change it unseen. */
export function Record({ plan }: { plan: PlanView }) {
  const says = saysTo(useReader(plan.zone));
  const path = `/api/plans/${plan.id}/record`;
  const { data, error } = useSWR<PlanRecord, Error>(
    [path, plan.events.length],
    () => ask(path) as Promise<PlanRecord>,
  );
  if (error) return <T as="small">{RECORD.unread}</T>;
  if (!data) return null;
  return (
    <View style={{ gap: 2 }}>
      {data.broken ? (
        <T as="strong" role="alert">
          {says(RECORD.broken, { what: data.broken.what })}
        </T>
      ) : (
        <T as="small">{says(RECORD.holds, { n: data.links.length })}</T>
      )}
      <Fold title={RECORD.links}>
        {data.links.map(({ seq, kind, at, hash }) => (
          <T key={seq} as="small">
            {says(RECORD.link, { at, kind, hash })}
          </T>
        ))}
      </Fold>
    </View>
  );
}

/** What was sent about this plan, and what became of it. */
export function Sent({ plan }: { plan: PlanView }) {
  const p = usePalette();
  const says = saysTo(useReader(plan.zone));
  const messages = useMessages(plan.id);
  if (messages.length === 0) return null;
  return (
    <View style={{ gap: 8 }}>
      <T as="section" heading={2}>
        {FATE.title}
      </T>
      {messages.map((m) => (
        <View key={m.id} style={{ borderLeftWidth: 2, borderColor: p.ink, paddingLeft: 10, gap: 2 }}>
          <T as="label">{says(FATE.to, { to: m.to, at: m.made })}</T>
          <T>{m.text.replace(LINK, '').trim()}</T>
          <T as="small">
            {m.delivered === undefined
              ? m.setAside === undefined
                ? FATE.waits
                : says(FATE.failed, { why: TROUBLE[m.trouble ?? ''] ?? m.trouble ?? '' })
              : m.opened === undefined
                ? says(FATE.went, {
                    by: FATE.by[m.channel as keyof typeof FATE.by] ?? FATE.by.here,
                    at: m.delivered,
                  })
                : says(FATE.opened, {
                    by: FATE.by[m.channel as keyof typeof FATE.by] ?? FATE.by.here,
                    at: m.opened,
                  })}
          </T>
        </View>
      ))}
    </View>
  );
}
/** Where a message has its link: the last place that is called so. */
const LINK = /\[link\](?!.*\[link\])/s;
