import { useState } from 'react';
import { TextInput } from 'react-native-paper';
import { hasSeals, isOpen } from '@escale/core/floatplan';
import type { PlanView } from '@escale/core/model';
import { saysTo } from '@escale/core/say';
import type { Here } from '../../data/here';
import { useOutbox } from '../../data/hooks';
import { deed, newId } from '../../data/outbox';
import { useReader } from '../../data/settings';
import { Button, Row } from '../../ui/button';
import { Confirm } from '../../ui/confirm';
import { Sheet } from '../../ui/sheet';
import { T } from '../../ui/text';
import { PositionAsked, sentPosition } from './position-asked';
import { HELP, REACHES } from './words';

/** In trouble: the contacts hear it at once, what is sealed opens. It rings nobody: who can calls for help first. */
export function HelpButton({ plan, now, wet = false }: { plan: PlanView; now: number; wet?: boolean }) {
  const [open, setOpen] = useState(false);
  const [note, setNote] = useState('');
  const [here, setHere] = useState<Here>();
  const says = saysTo(useReader(plan.zone));
  const busy = useOutbox().some((s) => s.thing === plan.id && !s.refused);
  if (!isOpen(plan.state)) return null;
  if (plan.trouble) return <T as="strong">{says(HELP.stands, { at: plan.trouble.at })}</T>;
  return (
    <>
      <Button wet={wet} busy={busy} onPress={() => setOpen(true)}>
        {HELP.button}
      </Button>
      {open ? (
        <Sheet title={HELP.title} onClose={() => setOpen(false)}>
          <T as="strong">{HELP.first}</T>
          <T>{HELP.follows}</T>
          <T as="soft">{REACHES[plan.channel ?? 'none']}</T>
          <TextInput
            mode="outlined"
            label={HELP.note}
            accessibilityLabel={HELP.note}
            value={note}
            onChangeText={setNote}
            maxLength={400}
          />
          <PositionAsked here={here} onHere={setHere} />
          <Button
            kind="main"
            wet
            once
            onPress={() => {
              setOpen(false);
              const said = note.trim() ? { note: note.trim() } : {};
              const body = { id: newId(), kind: 'trouble' as const, madeAt: new Date(now).toISOString() };
              void deed(plan.id, { ...body, ...said, ...sentPosition(here) }, HELP.said);
            }}
          >
            {HELP.yes}
          </Button>
          <Button wet onPress={() => setOpen(false)}>
            {HELP.no}
          </Button>
        </Sheet>
      ) : null}
    </>
  );
}

/** What is sealed, opened by who sealed it. */
export function UnsealButton({ plan, now }: { plan: PlanView; now: number }) {
  if (!isOpen(plan.state) || plan.unsealed || !hasSeals(plan.sheet)) return null;
  return (
    <Row>
      <Confirm
        title={HELP.unsealTitle}
        follows={HELP.unsealFollows}
        yes={HELP.unsealYes}
        no={HELP.unsealNo}
        onYes={() =>
          void deed(
            plan.id,
            { id: newId(), kind: 'unsealed', madeAt: new Date(now).toISOString() },
            HELP.unsealSaid,
          )
        }
      >
        {HELP.unseal}
      </Confirm>
    </Row>
  );
}
