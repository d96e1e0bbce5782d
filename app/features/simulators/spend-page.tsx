import { useState } from 'react';
import { SPEND_SCENES } from '@escale/core/signals/spending';
import { Choice } from '../../ui/choice';
import { Page } from '../../ui/page';
import { T } from '../../ui/text';
import { SpendRun } from './spend';
import { SPEND } from './spend-words';

/** When to spend the few flares one has. */
export function SpendPage() {
  const [where, setWhere] = useState<string>(SPEND_SCENES[0].id);
  const [turn, setTurn] = useState(0);
  const scene = SPEND_SCENES.find(({ id }) => id === where) ?? SPEND_SCENES[0];
  return (
    <Page title={SPEND.title} lead={SPEND.lead} style={{ maxWidth: 900 }}>
      <SpendRun key={`${scene.id} ${turn}`} scene={scene} again={() => setTurn((n) => n + 1)} />
      <Choice
        label={SPEND.scene}
        options={SPEND_SCENES.map(({ id, title }) => ({ value: id, label: title }))}
        value={scene.id}
        onChange={(next) => next && setWhere(next)}
      />
      <T as="soft">{scene.lead}</T>
      <T as="small">{SPEND.estimate}</T>
    </Page>
  );
}
