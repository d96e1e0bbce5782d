import { useState, type RefObject } from 'react';
import { View } from 'react-native';
import { readPosition } from '@escale/core/earth/read-position';
import type { LatLon } from '@escale/core/earth';
import { Button, Row } from '../../ui/button';
import { Fold } from '../../ui/fold';
import { T } from '../../ui/text';
import { useHere } from '../../data/here';
import { useBackdrop } from '../../data/hooks';
import { plainly } from '../../data/settings';
import { WhereField } from '../where/where-field';
import type { Hand } from './map';
import { CHART } from './words';

/** What a map does by gesture, by button. */
export function Hands({ hand }: { hand: RefObject<Hand | null> }) {
  const { said, ask } = useHere();
  return (
    <>
      <Row>
        <Button onPress={() => hand.current?.nearer()}>{CHART.nearer}</Button>
        <Button onPress={() => hand.current?.further()}>{CHART.further}</Button>
        <Button label={CHART.allSaid} onPress={() => hand.current?.all()}>
          {CHART.all}
        </Button>
        <Button label={CHART.meSaid} onPress={() => ask((at) => hand.current?.show(at))}>
          {CHART.me}
        </Button>
      </Row>
      {said ? <T role="status">{said}</T> : null}
    </>
  );
}

export function Backdrop() {
  const backdrop = useBackdrop();
  if (backdrop.kind === 'none') return null;
  const name = backdrop.kind === 'pmtiles' ? backdrop.name : CHART.tiles;
  return <T as="small">{plainly(CHART.backdrop, { name })}</T>;
}

export function GoTo({ show }: { show: (at: LatLon) => void }) {
  const [text, setText] = useState('');
  const at = readPosition(text);
  return (
    <Fold title={CHART.position}>
      <View style={{ gap: 8, paddingVertical: 10 }}>
        <WhereField label={CHART.where} text={text} onText={setText} />
        <Row>
          <Button cant={at ? false : CHART.noPosition} onPress={() => at && show(at)}>
            {CHART.show}
          </Button>
        </Row>
      </View>
    </Fold>
  );
}
