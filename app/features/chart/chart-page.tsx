import { useCallback, useMemo, useRef, useState } from 'react';
import { View, useWindowDimensions } from 'react-native';
import { useLocalSearchParams } from 'expo-router';
import type { LatLon } from '@escale/core/earth';
import type { NamedPoint } from '@escale/core/formats/drawing';
import type { Place, Water } from '@escale/core/model';
import { endsOwn, landingsFrom } from '@escale/core/passage';
import { slowOf } from '@escale/core/boat';
import { saysTo } from '@escale/core/say';
import { heightsAt, tideOf } from '@escale/core/water';
import { Button, Row } from '../../ui/button';
import { Fold } from '../../ui/fold';
import { later } from '../../ui/later';
import { Empty, Page, useWide } from '../../ui/page';
import { TextLink } from '../../ui/press';
import { T } from '../../ui/text';
import { useKind, useNow, useThings } from '../../data/hooks';
import { change } from '../../data/outbox';
import { plainly, useReader } from '../../data/settings';
import { sectionHref, thingHref } from '../../data/where';
import { Halts } from '../plan/halts';
import { useUndo } from '../mishap/undo';
import { useTrip, type TripView } from '../trip/use-trip';
import { fitting, MOST_HALTS, type Brought } from './brought';
import { PlaceCard, SpotCard } from './cards';
import { Backdrop, GoTo, Hands } from './hands';
import { LegList, Numbers, PlaceList } from './lists';
import { LoadDrawing } from './load';
import type { Hand, Picked } from './map';
import { saveGeoJson, saveGpx } from './save-out';
import { CHART } from './words';
import { useStops, type Stop } from '../sketch/stops';
import { pointName, usePlaces, wayOf } from './way';

const ChartMap = later(() => import('./map').then((m) => m.ChartMap));

/** The chart of a trip: its water, and its way, which is made here. */
export function TripChart() {
  const view = useTrip();
  const stops = useStops(view);
  const water = view.shed.waters.find(({ id }) => id === view.trip.water);
  return <Desk water={water} stops={stops} view={view} back={sectionHref(view.trip.id, 'plan/water')} />;
}

/** The chart of a water by itself. */
export function WaterChart() {
  const { water: id } = useLocalSearchParams<{ water?: string }>();
  const { shed, ready } = useThings();
  const water = shed.waters.find((one) => one.id === id);
  if (!ready) return <Page title={CHART.title}>{null}</Page>;
  return <Desk water={water} stops={NO_STOPS} back={water ? thingHref('water', water.id) : '/shed'} />;
}
const NO_STOPS: Stop[] = [];

/** Of the height of a phone the map takes so much; wide, all but what stands above it. */
const SHARE = 0.46,
  ABOVE = 500,
  LEAST = 300;

function Desk({
  water,
  stops,
  view,
  back,
}: {
  water: Water | undefined;
  stops: Stop[];
  view?: TripView;
  back: string;
}) {
  const wide = useWide();
  const { height } = useWindowDimensions();
  const { shed } = useThings();
  const [picked, setPicked] = useState<Picked>();
  const hand = useRef<Hand>(null);
  const takeHand = useCallback((next: Hand) => {
    hand.current = next;
  }, []);
  const held = useKind('water').find((one) => one.id === water?.id);
  const { make, move } = usePlaces(water);
  const way = wayOf(view);
  const on = water?.id;
  const places = useMemo(() => {
    const onWay = new Set(stops.map(({ place }) => place.id));
    return shed.places.filter(
      ({ id, water: its }) => onWay.has(id) || on === undefined || its === undefined || its === on,
    );
  }, [shed.places, stops, on]);
  const show = (place: Place) => {
    setPicked({ is: 'place', id: place.id });
    hand.current?.show(place.position);
  };
  const undo = useUndo();
  const take = ({ file, places: points, way: led, chart }: Brought) => {
    const names = [...shed.places];
    const made = (point: NamedPoint, kind: Place['kind']) => {
      const place = make(point.name ?? pointName(names), kind, point.position, fitting(point));
      names.push(place);
      return place;
    };
    for (const { point, kind } of points) made(point, kind);
    const said = plainly(CHART.took, { file });
    const back: (() => Promise<void>)[] = [];
    if (led && way)
      back.push(
        way.lead(
          led.map((point) => made(point, 'waypoint')),
          said,
        ),
      );
    if (chart && held) {
      const before = held.doc.chart;
      void change(held, [{ op: 'set', pointer: '/chart', value: chart }], said);
      back.push(() =>
        change(
          { ...held, version: held.version + 1 },
          [before ? { op: 'set', pointer: '/chart', value: before } : { op: 'unset', pointer: '/chart' }],
          said,
        ),
      );
    }
    if (back.length > 0)
      undo(said, async () => {
        for (const one of back) await one();
      });
  };
  const lead = (leg: number, to: LatLon) => {
    const point = make(pointName(places), 'waypoint', to);
    way?.through(point, stops[leg + 1]);
    setPicked({ is: 'place', id: point.id });
  };
  const card = (
    <Chosen
      picked={picked}
      water={water}
      places={places}
      view={view}
      close={() => setPicked(undefined)}
      choose={(place) => setPicked({ is: 'place', id: place.id })}
      make={make}
      move={move}
      way={way}
      stops={stops}
      back={view ? `/trips/${view.trip.id}/chart` : back}
    />
  );
  const map = (
    <View style={{ gap: 8 }}>
      <ChartMap
        label={plainly(CHART.map, { water: water?.name ?? CHART.anywhere })}
        chart={water?.chart}
        places={places}
        stops={stops}
        picked={picked}
        onPick={setPicked}
        onMove={move}
        onLead={way && !way.full ? lead : undefined}
        onHand={takeHand}
        tall={Math.max(LEAST, wide ? height - ABOVE : height * SHARE)}
      />
      {wide ? null : card}
      <Hands hand={hand} />
      <Backdrop />
    </View>
  );
  const rest = (
    <View style={{ gap: 14 }}>
      {wide ? card : null}
      {places.length === 0 && !water?.chart ? (
        <Empty title={CHART.emptyTitle} why={CHART.emptyWhy} />
      ) : picked ? null : (
        <T as="small">{CHART.tap}</T>
      )}
      {view ? (
        <Fold title={CHART.way} begin={wide}>
          <View style={{ gap: 12, paddingVertical: 10 }}>
            {stops.length < 2 ? <T as="soft">{CHART.noWay}</T> : null}
            <Halts />
            <LegList view={view} />
            <TextLink href={`/trips/${view.trip.id}/havens`}>{CHART.havens}</TextLink>
          </View>
        </Fold>
      ) : null}
      <PlaceList places={places} chosen={picked?.is === 'place' ? picked.id : undefined} onChoose={show} />
      <GoTo show={(at) => (setPicked({ is: 'spot', at }), hand.current?.show(at))} />
      {water ? <Numbers water={water} /> : null}
      <View style={{ gap: 8 }}>
        <T as="section" heading={2}>
          {CHART.files}
        </T>
        <LoadDrawing water={water} hasTrip={view !== undefined} onTake={take} />
        <Save view={view} water={water} places={places} stops={stops} />
      </View>
    </View>
  );
  return (
    <Page
      title={CHART.title}
      lead={water ? plainly(CHART.lead, { water: water.name }) : CHART.leadNone}
      aside={<TextLink href={back}>{CHART.back}</TextLink>}
      style={wide ? { maxWidth: 1280 } : {}}
    >
      {wide ? (
        <View style={{ flexDirection: 'row', gap: 20 }}>
          <View style={{ flex: 3 }}>{map}</View>
          <View style={{ flex: 2 }}>{rest}</View>
        </View>
      ) : (
        <>
          {map}
          {rest}
        </>
      )}
    </Page>
  );
}

/** The card of what is chosen. */
function Chosen({
  picked,
  water,
  places,
  view,
  close,
  choose,
  make,
  move,
  way,
  stops,
  back,
}: {
  picked: Picked | undefined;
  stops: Stop[];
  water: Water | undefined;
  places: Place[];
  view: TripView | undefined;
  close: () => void;
  choose: (place: Place) => void;
  make: ReturnType<typeof usePlaces>['make'];
  move: ReturnType<typeof usePlaces>['move'];
  way: ReturnType<typeof wayOf>;
  back: string;
}) {
  const reader = useReader(water?.zone ?? 'UTC');
  const says = saysTo(reader);
  const now = useNow(MINUTE);
  if (!picked) return null;
  if (picked.is === 'place') {
    const place = places.find(({ id }) => id === picked.id);
    if (!place) return null;
    const launch = places.find(({ id }) => id === view?.trip.launch);
    return (
      <PlaceCard
        key={place.id}
        place={place}
        launch={launch}
        says={says}
        back={back}
        onClose={close}
        onMove={(to) => move(place, to)}
      >
        {view && way ? <OnTheWay place={place} view={view} way={way} /> : null}
      </PlaceCard>
    );
  }
  const { at } = picked;
  const speed = slowOf(view?.shed.boats.find(({ id }) => id === view.trip.boat));
  const [landing] = landingsFrom(at, places, {
    now,
    ...(view ? { own: endsOwn(view.trip) } : {}),
    ...(water ? { water: water.id } : {}),
    ...(speed ? { speed } : {}),
    tideAt: heightsAt(water?.tide && tideOf(water.tide)),
  });
  const go = () => {
    const point = make(pointName(places), 'waypoint', at);
    if (picked.is === 'leg') way?.through(point, stops[picked.leg + 1]);
    else way?.goTo(point);
    choose(point);
  };
  return (
    <SpotCard
      key={`${at.lat},${at.lon}`}
      at={at}
      water={water}
      says={says}
      landing={landing}
      onClose={close}
      onGo={way ? go : undefined}
      cant={way?.full ? FULL : false}
      goes={picked.is === 'leg' ? CHART.through : CHART.goThere}
      onMake={(name, kind) => choose(make(name, kind, at))}
    />
  );
}
const MINUTE = 60_000;
const FULL = plainly(CHART.full, { most: MOST_HALTS });

/** What can be done with a place on the way of a trip. */
function OnTheWay({
  place,
  view: { trip },
  way,
}: {
  place: Place;
  view: TripView;
  way: NonNullable<ReturnType<typeof wayOf>>;
}) {
  const onWay = trip.halts.some((halt) => halt.place === place.id);
  const landed = trip.return ?? trip.launch;
  return (
    <Row>
      {onWay ? (
        <Button onPress={() => way.off(place)}>{CHART.out}</Button>
      ) : place.kind === 'hazard' ? null : (
        <Button kind="main" cant={way.full ? FULL : false} onPress={() => way.goTo(place)}>
          {CHART.halt}
        </Button>
      )}
      {place.kind === 'launch' && place.id !== trip.launch ? (
        <Button onPress={() => way.leaveFrom(place)}>{CHART.leave}</Button>
      ) : null}
      {(place.kind === 'launch' || place.kind === 'haven') && place.id !== landed ? (
        <Button onPress={() => way.landAt(place)}>{CHART.land2}</Button>
      ) : null}
    </Row>
  );
}

function Save({
  view,
  water,
  places,
  stops,
}: {
  view: TripView | undefined;
  water: Water | undefined;
  places: Place[];
  stops: Stop[];
}) {
  const name = view?.trip.title ?? water?.name ?? CHART.title;
  const out = {
    name,
    water,
    places,
    way: stops.map(({ place, at }) => ({
      name: place.name,
      position: place.position,
      ...(at === undefined ? {} : { at }),
    })),
  };
  return (
    <Row>
      <Button onPress={() => saveGpx(out)}>{CHART.gpx}</Button>
      <Button onPress={() => saveGeoJson(out)}>{CHART.geojson}</Button>
      {view ? <TextLink href={`/trips/${view.trip.id}/paper`}>{CHART.print}</TextLink> : null}
    </Row>
  );
}
