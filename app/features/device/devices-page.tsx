import { useState } from 'react';
import { View } from 'react-native';
import { TextInput } from 'react-native-paper';
import useSWR from 'swr';
import * as z from 'zod';
import { ask } from '../../data/api';
import { plainly } from '../../data/settings';
import { Button, Row } from '../../ui/button';
import { Confirm } from '../../ui/confirm';
import { Page } from '../../ui/page';
import { T } from '../../ui/text';
import { usePalette } from '../../ui/theme';
import { ClubBlock } from './club';
import { AnotherBrowser } from './door';
import { DEVICES } from './words';

const Device = z.object({
  id: z.string(),
  name: z.string(),
  since: z.number(),
  seen: z.number(),
  here: z.boolean().optional(),
});
type Device = z.infer<typeof Device>;
const Devices = z.object({ devices: z.array(Device) });
const Household = z.object({ id: z.string(), name: z.string() });

/** Who may come in: the household by its name, its browsers by theirs, another one, and a lost one out. */
export function DevicesPage() {
  const { data, error, mutate } = useSWR('/api/door/devices', async (path) => Devices.parse(await ask(path)));
  const { data: household, mutate: again } = useSWR('/api/household', async (path) =>
    Household.parse(await ask(path)),
  );
  const devices = data?.devices ?? [];
  return (
    <Page title={DEVICES.title} lead={DEVICES.lead}>
      {error ? <T role="alert">{DEVICES.failed}</T> : null}
      {household ? (
        <Named
          label={DEVICES.household}
          name={household.name}
          onSave={async (name) => {
            await ask('/api/household', { name });
            await again();
          }}
        />
      ) : null}
      {data && devices.length === 0 ? <T as="soft">{DEVICES.none}</T> : null}
      {devices.map((device) => (
        <One key={device.id} device={device} onChange={async () => void (await mutate())} />
      ))}
      <AnotherBrowser />
      <ClubBlock />
    </Page>
  );
}

function One({ device, onChange }: { device: Device; onChange: () => Promise<void> }) {
  const p = usePalette();
  const { id, name, since, seen, here } = device;
  const values = { name };
  return (
    <View style={{ gap: 6, borderWidth: 1, borderColor: p.line, padding: 12 }}>
      <T as="strong">
        {here ? plainly(DEVICES.here, values) : plainly(DEVICES.seen, { name, since, at: seen })}
      </T>
      {here ? (
        <Named
          label={DEVICES.name}
          name={name}
          onSave={async (called) => {
            await ask(`/api/door/devices/${id}`, { name: called });
            await onChange();
          }}
        />
      ) : (
        <Row>
          <Confirm
            title={plainly(DEVICES.outTitle, values)}
            follows={DEVICES.outFollows}
            yes={DEVICES.outYes}
            no={DEVICES.outNo}
            onYes={() => void ask(`/api/door/devices/${id}/end`, {}).then(onChange, onChange)}
          >
            {plainly(DEVICES.out, values)}
          </Confirm>
        </Row>
      )}
    </View>
  );
}

function Named({
  label,
  name,
  onSave,
}: {
  label: string;
  name: string;
  onSave: (name: string) => Promise<void>;
}) {
  const [text, setText] = useState(name);
  const [said, setSaid] = useState<string>();
  const save = async () => {
    try {
      await onSave(text.trim());
      setSaid(DEVICES.saved);
    } catch {
      setSaid(DEVICES.failed);
    }
  };
  return (
    <View style={{ gap: 6 }}>
      <TextInput
        mode="outlined"
        label={label}
        accessibilityLabel={label}
        value={text}
        onChangeText={setText}
        maxLength={60}
      />
      {text.trim() !== '' && text.trim() !== name ? (
        <Row>
          <Button onPress={() => void save()}>{DEVICES.save}</Button>
        </Row>
      ) : null}
      {said ? <T role="status">{said}</T> : null}
    </View>
  );
}
