import { useState } from 'react';
import { drives } from '@escale/core/boat';
import type { Boat } from '@escale/core/model';
import { CRAFT, UNPOWERED, type Craft } from '@escale/core/model/lists';
import { chance } from '@escale/core/numeric/chance';
import { procedureOf } from '@escale/core/procedure';
import { deal, hasOrder, USUAL_FACTS } from '@escale/core/procedure/order';
import { ASKED_ABOARD, evaluate, type Facts } from '@escale/core/rules';
import { Choice, optionsOf } from '../../ui/choice';
import { Page } from '../../ui/page';
import { T } from '../../ui/text';
import { useKind } from '../../data/hooks';
import { procedures } from '../../data/procedures';
import { OnceHere } from './once-here';
import { OrderRun } from './order';
import { ORDER } from './order-words';

/** Everything that one can have aboard is aboard: no step then says “if”. */
const ABOARD: Facts = Object.fromEntries(ASKED_ABOARD.map((kind) => [`kit.${kind}`, true]));

function factsFor(kind: Craft, boat: Boat | undefined, alone: boolean): Facts {
  const {
    motor = !UNPOWERED.has(kind),
    combustion = motor,
    sail = kind === 'catamaran',
  } = boat ? drives(boat) : {};
  return {
    ...USUAL_FACTS,
    ...ABOARD,
    'boat.kind': kind,
    'boat.motor': motor,
    'boat.combustion': combustion,
    'boat.inboard': false,
    'boat.sail': sail,
    'boat.trailed': !UNPOWERED.has(kind),
    'crew.alone': alone,
  };
}

const WHO = { together: ORDER.together, alone: ORDER.alone } as const;

/** The steps of a re-entry, an overboard, a launch, to be put into their order. */
export function OrderPage() {
  return <OnceHere>{() => <OrderHere />}</OnceHere>;
}

function OrderHere() {
  const boats = useKind('boat').map(({ doc }) => doc);
  const [picked, setKind] = useState<Craft>();
  const [who, setWho] = useState<keyof typeof WHO>('together');
  const [chosen, setChosen] = useState<string>();
  const [seed, setSeed] = useState(1);
  const kind = picked ?? boats.at(0)?.kind ?? 'sit-on-top';
  const facts = factsFor(
    kind,
    boats.find((boat) => boat.kind === kind),
    who === 'alone',
  );
  const world = { facts, crew: [] };
  const made = procedures()
    .filter((row) => evaluate(row.for, world).truth !== 'no')
    .map((row) => procedureOf(row, world))
    .filter(hasOrder);
  const procedure =
    made.find(({ id }) => id === chosen) ?? made.find(({ id }) => /^capsize/.test(id)) ?? made[0];
  return (
    <Page title={ORDER.title} lead={ORDER.lead}>
      <OrderRun
        key={[procedure.id, kind, who, seed].join()}
        title={procedure.title}
        begins={deal(procedure, chance(seed))}
        again={() => setSeed((n) => n + 1)}
      />
      <Choice
        label={ORDER.procedure}
        options={made.map(({ id, title }) => ({ value: id, label: title }))}
        value={procedure.id}
        onChange={(next) => next && setChosen(next)}
      />
      <Choice
        label={ORDER.boat}
        options={optionsOf(CRAFT)}
        value={kind}
        onChange={(next) => next && setKind(next as Craft)}
      />
      <Choice
        label={ORDER.who}
        options={optionsOf(WHO)}
        value={who}
        onChange={(next) => next && setWho(next as keyof typeof WHO)}
      />
      <T as="small">{ORDER.usual}</T>
      <T as="small">{ORDER.practice}</T>
    </Page>
  );
}
