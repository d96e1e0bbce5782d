import { useState } from 'react';
import { View } from 'react-native';
import { useLocalSearchParams, useRouter } from 'expo-router';
import { TextInput } from 'react-native-paper';
import { readPack } from '@escale/core/formats/pack';
import type { Condition, OwnPack, Rule, RulePack } from '@escale/core/model';
import { differences, runExamples, PACKS, conditionPhrase, questionsOf } from '@escale/core/rules';
import { render, type WordKey, phraseOf } from '@escale/core/say';
import { sourceOf } from '@escale/core/sources';
import { Button, Row } from '../../ui/button';
import { Choice } from '../../ui/choice';
import { Empty, Page } from '../../ui/page';
import { T } from '../../ui/text';
import { usePalette } from '../../ui/theme';
import { useKind, useThings, useToday } from '../../data/hooks';
import { change, create, newId, remove, restore } from '../../data/outbox';
import type { Held } from '../../data/things';
import { useUndo } from '../mishap/undo';
import { save } from '../../ui/save';
import { statusOf, sureWord } from './status';
import { PACKS as SAID } from './words';
import { plainly } from '../../data/settings';

const reader = { units: 'metric', zone: 'UTC', locale: 'en-GB' } as const;
const asFile = (pack: RulePack) =>
  save(`${pack.id}-${pack.version}.json`, 'application/json', `${JSON.stringify(pack, null, 2)}\n`);

/** One pack: read rule by rule, its examples run, compared with another, saved, copied and edited. */
export function PackPage() {
  const { id } = useLocalSearchParams<{ id: string }>();
  const router = useRouter();
  const { ready } = useThings();
  const held = useKind('pack').find((h) => h.id === id);
  const pack = held?.doc.pack ?? PACKS.find((p) => p.id === id);
  if (!pack)
    return (
      <Page title={ready ? 'No such pack' : 'One moment'}>
        {ready ? (
          <Empty title="This pack is not here" why="It was removed, or this device has not heard of it yet.">
            <Button onPress={() => router.replace('/shed/packs')}>All packs</Button>
          </Empty>
        ) : null}
      </Page>
    );
  return <Read pack={pack} held={held} />;
}

function Read({ pack, held }: { pack: RulePack; held: Held<'pack'> | undefined }) {
  const router = useRouter();
  const undo = useUndo();
  const today = useToday();
  const [editing, setEditing] = useState(false);
  const copy = async () => {
    const id = newId();
    await create(
      'pack',
      {
        id,
        pack: {
          ...pack,
          id: `${pack.id}-own`.slice(0, 40),
          title: plainly(SAID.ownCopy, { title: pack.title }),
          // What was edited is nobody's word but its owner's.
          authority: plainly(SAID.ownAfter, { authority: pack.authority }),
          version: '1',
          replaces: pack.id,
          // Who held the rule against the law did not hold what it becomes.
          rules: pack.rules.map((rule) => ({ ...rule, verified: false })),
        },
      } as OwnPack,
      plainly(SAID.copyOf, { title: pack.title }),
    );
    router.replace(`/shed/packs/${id}`);
  };
  const drop = () => {
    if (!held) return;
    router.replace('/shed/packs');
    const said = plainly(SAID.removed, { title: pack.title });
    void remove(held, said);
    undo(said, () => restore(held, plainly(SAID.putBack, { title: pack.title })));
  };
  return (
    <Page
      title={pack.title}
      lead={plainly(SAID.lead, {
        authority: pack.authority,
        version: pack.version,
        status: statusOf(pack, today),
      })}
      aside={
        <Button kind="quiet" onPress={() => router.push('/shed/packs')}>
          all packs
        </Button>
      }
    >
      <T as="strong">What the list asks for; check the local law.</T>
      <Row>
        <Button onPress={() => asFile(pack)}>Save as a file</Button>
        {held ? (
          <Button onPress={() => setEditing(!editing)}>{editing ? 'Close the editor' : 'Edit'}</Button>
        ) : (
          <Button onPress={() => void copy()}>Edit a copy</Button>
        )}
        {held ? <Button onPress={drop}>Remove</Button> : null}
      </Row>
      {held && editing ? <Editor held={held} /> : null}
      <Examples pack={pack} />
      <Compare pack={pack} />
      {pack.questions?.length ? (
        <View>
          <T as="section" heading={2}>
            What it asks about the water
          </T>
          {pack.questions.map((q) => (
            <T key={q.id}>{q.help ? plainly(SAID.question, { ask: q.ask, help: q.help }) : q.ask}</T>
          ))}
        </View>
      ) : null}
      {pack.displaces?.length ? (
        <T>
          {plainly(SAID.displaces, {
            rules: pack.displaces.map((d) => plainly(SAID.displaced, d)).join(', '),
            when: pack.displaces.map((d) => inWords(d.when, pack)).join('; '),
          })}
        </T>
      ) : null}
      <T as="section" heading={2}>
        Rules
      </T>
      {pack.rules.map((rule) => (
        <RuleCard key={rule.id} rule={rule} pack={pack} />
      ))}
    </Page>
  );
}

function RuleCard({ rule, pack }: { rule: Rule; pack: RulePack }) {
  const p = usePalette();
  const word = (capability: string) => render(phraseOf(`capability.${capability}` as WordKey), reader);
  const demand = ({ count = 1, capability, leastLength }: Rule['anyOf'][number][number]) => {
    const asked = { n: count, what: word(capability) };
    return leastLength
      ? plainly(SAID.demandLong, { ...asked, least: leastLength.value, unit: leastLength.unit })
      : plainly(SAID.demand, asked);
  };
  const ways = rule.anyOf.map((all) => all.map(demand).join(' and '));
  return (
    <View
      role="group"
      aria-label={plainly(SAID.rule, rule)}
      style={{ borderTopWidth: 1, borderColor: p.line, paddingVertical: 8, gap: 2 }}
    >
      <T as="strong">{rule.title}</T>
      <T>{rule.text}</T>
      {rule.why ? <T as="soft">{rule.why}</T> : null}
      <T as="small">
        {rule.unless
          ? plainly(SAID.whenUnless, { when: inWords(rule.when, pack), unless: inWords(rule.unless, pack) })
          : plainly(SAID.when, { when: inWords(rule.when, pack) })}
      </T>
      <T as="small">
        {ways.length > 0 ? plainly(SAID.asksFor, { ways: ways.join('; or ') }) : SAID.asksWorn}
      </T>
      <T as="small">
        {plainly(SAID.source, {
          rule: rule.id,
          source: sourceOf(rule.source)?.title ?? rule.source,
          section: rule.section,
          sure: sureWord(rule),
          verified: rule.verified ? SAID.verified : SAID.notVerified,
          noted: rule.noted,
        })}
      </T>
    </View>
  );
}

/** A condition in words, for reading: the names are those by which the evaluator explains itself. */
const inWords = (condition: Condition, pack: RulePack) =>
  render(conditionPhrase(condition, { questions: questionsOf(pack) }), reader);

const TRUTH = { yes: 'applies', no: 'does not apply', unknown: 'stays open' } as const;

function Examples({ pack }: { pack: RulePack }) {
  const [open, setOpen] = useState(false);
  const results = runExamples(pack);
  const bad = results.filter((r) => r.came !== r.wanted);
  if (results.length === 0) return <T as="soft">It brings no examples of its own.</T>;
  return (
    <View style={{ gap: 4 }}>
      <Button onPress={() => setOpen(!open)}>
        {plainly(SAID.hold, { good: results.length - bad.length, all: results.length })}
      </Button>
      {open
        ? results.map((r) => (
            <T key={`${r.title} ${r.rule}`} as={r.came === r.wanted ? 'small' : 'strong'}>
              {plainly(r.came === r.wanted ? SAID.holds : SAID.fails, {
                title: r.title,
                rule: r.rule,
                wanted: TRUTH[r.wanted],
                came: r.came ? TRUTH[r.came] : SAID.notThere,
              })}
            </T>
          ))
        : null}
    </View>
  );
}

function Compare({ pack }: { pack: RulePack }) {
  const own = useKind('pack');
  const [other, setOther] = useState<string>();
  const all = [
    ...PACKS.map((p) => ({ key: p.id, pack: p })),
    ...own.map((h) => ({ key: h.id, pack: h.doc.pack })),
  ].filter((x) => x.pack !== pack);
  const before = all.find((x) => x.key === other)?.pack;
  const found = before ? differences(before, pack) : [];
  return (
    <View style={{ gap: 4 }}>
      <T as="label">Compare with</T>
      <Choice
        label="Compare with"
        clearable
        options={all.map((x) => ({ value: x.key, label: plainly(SAID.named, x.pack) }))}
        value={other}
        onChange={setOther}
      />
      {before && found.length === 0 ? <T>The rules are the same.</T> : null}
      {found.map((f) => (
        <T key={f.id} as="small">
          {f.fields.length > 0
            ? plainly(SAID.differsIn, { ...f, fields: f.fields.join(', ') })
            : plainly(SAID.differs, { what: f.what, id: f.id, title: f.title })}
        </T>
      ))}
    </View>
  );
}

/** The pack as text: what does not hold is said line by line, and only a whole pack is kept. */
function Editor({ held }: { held: Held<'pack'> }) {
  const [text, setText] = useState(() => JSON.stringify(held.doc.pack, null, 2));
  const [said, setSaid] = useState<string[]>([]);
  const keep = () => {
    const read = readPack(text);
    if (!read.ok) return setSaid(['Not kept:', ...read.faults]);
    void change(held, [{ op: 'set', pointer: '/pack', value: read.pack }], read.pack.title);
    setSaid(['Kept.', ...read.broken]);
  };
  return (
    <View style={{ gap: 8 }}>
      <TextInput
        mode="outlined"
        multiline
        numberOfLines={16}
        accessibilityLabel="The pack as text"
        value={text}
        onChangeText={setText}
        style={{ fontSize: 13, maxHeight: 420 }}
      />
      <View role="status">
        {said.map((line) => (
          <T key={line} as="small">
            {line}
          </T>
        ))}
      </View>
      <Button kind="main" onPress={keep}>
        Keep it
      </Button>
    </View>
  );
}
