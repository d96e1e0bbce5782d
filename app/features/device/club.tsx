import { useState } from 'react';
import { View } from 'react-native';
import { TextInput } from 'react-native-paper';
import useSWR from 'swr';
import * as z from 'zod';
import { ask, Refusal } from '../../data/api';
import { plainly } from '../../data/settings';
import { Button, Row } from '../../ui/button';
import { Confirm } from '../../ui/confirm';
import { T } from '../../ui/text';
import { CLUB } from './words';

const Club = z.object({ name: z.string().optional() });
const Word = z.object({ word: z.string() });

/** The club that a household belongs to, or could; and a word for those who join this one as theirs. */
export function ClubBlock() {
  const { data, mutate } = useSWR('/api/club', async (path) => Club.parse(await ask(path)));
  const [word, setWord] = useState('');
  const [made, setMade] = useState<string>();
  const [said, setSaid] = useState<string>();
  if (!data) return null;
  /** @returns whether it went through; what did not is told */
  const tell = async (work: () => Promise<string | undefined>) => {
    try {
      setSaid(await work());
      await mutate();
    } catch (error) {
      setSaid(error instanceof Refusal ? CLUB.not : CLUB.failed);
    }
  };
  const join = () =>
    tell(async () => {
      const { name = '' } = Club.parse(await ask('/api/club/join', { word: word.trim() }));
      setWord('');
      return plainly(CLUB.joined, { name });
    });
  return (
    <View style={{ gap: 8 }}>
      <T as="section" heading={2}>
        {CLUB.title}
      </T>
      {data.name === undefined ? (
        <>
          <T as="soft">{CLUB.none}</T>
          <TextInput
            mode="outlined"
            label={CLUB.word}
            accessibilityLabel={CLUB.word}
            value={word}
            onChangeText={setWord}
            maxLength={60}
          />
          {word.trim() === '' ? null : (
            <Row>
              <Button onPress={() => void join()}>{CLUB.join}</Button>
            </Row>
          )}
        </>
      ) : (
        <>
          <T>{plainly(CLUB.in, { name: data.name })}</T>
          <Row>
            <Confirm
              title={plainly(CLUB.leaveTitle, { name: data.name })}
              follows={CLUB.leaveFollows}
              yes={CLUB.leaveYes}
              no={CLUB.leaveNo}
              onYes={() => void tell(async () => void (await ask('/api/club/leave', {})))}
            >
              {CLUB.leave}
            </Confirm>
          </Row>
        </>
      )}
      <T as="small">{CLUB.lead}</T>
      {made ? (
        <T as="strong" selectable>
          {made}
        </T>
      ) : null}
      <Row>
        <Button
          onPress={() =>
            void tell(async () => {
              setMade(Word.parse(await ask('/api/club/word', {})).word);
              return undefined;
            })
          }
        >
          {CLUB.make}
        </Button>
      </Row>
      {said ? <T role="status">{said}</T> : null}
    </View>
  );
}
