import { useDeferredValue } from 'react';
import { View } from 'react-native';
import { isOpen } from '@escale/core/floatplan';
import type { Procedure } from '@escale/core/procedure';
import { Row } from '../../ui/button';
import { CardLink } from '../../ui/press';
import { T } from '../../ui/text';
import { usePalette } from '../../ui/theme';
import { TOUCH_WET } from '../../ui/tokens';
import { useHere } from '../../data/here';
import { useNow } from '../../data/hooks';
import { HelpButton } from '../deeds/help-button';
import { useTrip } from '../trip/use-trip';
import { Numbers, useSignals, Words } from './call-block';
import { procedures } from '../../data/procedures';
import { useCards } from '../go/use-cards';
import { ABOUT, TROUBLE } from './words';

const HEADS = Object.keys(ABOUT) as (keyof typeof ABOUT)[];

/** The cards, big enough for a wet thumb; below them the words to say and whom to ring. */
export function TroubleSection() {
  // The first words wait for nothing.
  const settled = useDeferredValue(true, false);
  return (
    <View style={{ gap: 18 }}>
      <T as="section" heading={3} style={{ fontSize: 22, lineHeight: 28 }}>
        {TROUBLE.first}
      </T>
      {settled ? <Cards /> : null}
    </View>
  );
}

function Cards() {
  const { trip, shed, plan } = useTrip();
  const now = useNow();
  const found = useCards();
  const signals = useSignals();
  const where = useHere();
  const boat = shed.boats.find((b) => b.id === trip.boat);
  return (
    <>
      {boat ? null : <T as="soft">{TROUBLE.noBoat}</T>}
      {HEADS.map((about) => (
        <Tiles
          key={about}
          trip={trip.id}
          title={ABOUT[about]}
          cards={found.filter((c) => c.card?.about === about)}
        />
      ))}
      <View style={{ gap: 6 }}>
        <Row>
          <Tile href={`/trips/${trip.id}/trouble/wrong`} title={TROUBLE.wrong} />
          <Tile href={`/trips/${trip.id}/trouble/haven`} title={TROUBLE.haven} />
          <Tile href={`/trips/${trip.id}/whatif`} title={TROUBLE.whatIf} />
        </Row>
        <T as="soft">{TROUBLE.wrongWhy}</T>
      </View>
      <Fish />
      {boat ? <Words boat={boat} signals={signals} where={where} /> : null}
      <Numbers />
      {plan && isOpen(plan.state) ? <HelpButton wet plan={plan} now={now} /> : null}
    </>
  );
}

/** Not trouble yet: how a big fish is played, landed and let go from a small boat. */
function Fish() {
  const { trip } = useTrip();
  const rows = procedures().filter((row) => row.group === 'fish');
  return (
    <View style={{ gap: 6 }}>
      <T as="caps" heading={3}>
        {TROUBLE.fish}
      </T>
      <Row style={{ alignItems: 'stretch' }}>
        {rows.map((row) => (
          <Tile key={row.id} href={`/trips/${trip.id}/run/${row.id}`} title={row.title} />
        ))}
      </Row>
    </View>
  );
}

function Tiles({ trip, title, cards }: { trip: string; title: string; cards: Procedure[] }) {
  if (cards.length === 0) return null;
  return (
    <View style={{ gap: 6 }}>
      <T as="caps" heading={3}>
        {title}
      </T>
      <Row style={{ alignItems: 'stretch' }}>
        {cards.map((card) => (
          <Tile key={card.id} href={`/trips/${trip}/trouble/${card.id}`} title={card.title} />
        ))}
      </Row>
    </View>
  );
}

function Tile({ href, title }: { href: string; title: string }) {
  const p = usePalette();
  return (
    <CardLink
      href={href}
      style={{
        minHeight: TOUCH_WET,
        flexGrow: 1,
        flexBasis: 160,
        justifyContent: 'center',
        borderWidth: 2,
        borderColor: p.ink,
        backgroundColor: p.raised,
        paddingHorizontal: 12,
        paddingVertical: 8,
      }}
    >
      <T as="strong" style={{ fontSize: 18, lineHeight: 23 }}>
        {title}
      </T>
    </CardLink>
  );
}
