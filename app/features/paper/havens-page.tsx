import { useMemo, type ReactNode } from 'react';
import { useRouter } from 'expo-router';
import { slowOf } from '@escale/core/boat';
import { SHORES } from '@escale/core/model/lists';
import { endsOwn, ARRIVED, type Landing } from '@escale/core/passage';
import { floodedSpeed, havenCard, stays, type CardRow } from '@escale/core/passage/haven-card';
import { clock } from '@escale/core/say';
import { figureNamed } from '@escale/core/verdict';
import { heightsAt, tideOf } from '@escale/core/water';
import { Button, Row } from '../../ui/button';
import { usePalette } from '../../ui/theme';
import { plainly } from '../../data/settings';
import { useTrip } from '../trip/use-trip';
import { useVariation } from '../where/compass';
import { SHEET } from '../../ui/paper-sheet';
import { HAVENS } from './words';

const CELL = {
  borderBottom: '1px solid currentColor',
  padding: '5px 8px 5px 0',
  textAlign: 'left',
  verticalAlign: 'top',
} as const;

/** Where to go from each half hour of the trip, on one page: reckoned on this device, so that it needs no signal. */
export function HavensPage() {
  const router = useRouter();
  // Read at night on the water it must not blind; it prints black on white whatever the screen looks like.
  const p = usePalette();
  const { trip, shed, assessment, says } = useTrip();
  const { schedule } = assessment;
  const variation = useVariation();
  const boat = shed.boats.find(({ id }) => id === trip.boat);
  const water = shed.waters.find(({ id }) => id === trip.water);
  // The speed by which the hours of the trip are told: that of the slowest.
  const usual = figureNamed(assessment.figures, 'passage/speed')?.value;
  const slow = boat?.propulsion[0]?.slow === undefined ? undefined : slowOf(boat);
  const rows = useMemo(
    () =>
      schedule && trip.launch && usual
        ? havenCard(
            schedule,
            trip.launch,
            shed.places,
            { usual, tired: slow },
            {
              own: endsOwn(trip),
              ...(water ? { water: water.id } : {}),
              tideAt: heightsAt(water?.tide && tideOf(water.tide)),
            },
          )
        : [],
    [schedule, trip, shed.places, usual, slow, water],
  );
  return (
    <main data-paper="seen" style={{ ...SHEET, background: p.paper, color: p.ink }}>
      <div data-screen>
        <Row>
          <Button kind="main" onPress={() => window.print()}>
            {HAVENS.print}
          </Button>
          <Button onPress={() => router.push(`/trips/${trip.id}/chart`)}>{HAVENS.back}</Button>
        </Row>
      </div>
      <h1 style={{ fontSize: 22, margin: '10px 0 4px' }}>{says(HAVENS.title, { trip: trip.title })}</h1>
      {rows.length === 0 ? (
        <p>{HAVENS.none}</p>
      ) : (
        <>
          <p style={{ margin: '0 0 8px' }}>
            {usual === undefined
              ? ''
              : slow === undefined
                ? says(HAVENS.speedsTwo, { usual, flooded: floodedSpeed({ usual }) })
                : says(HAVENS.speeds, { usual, slow, flooded: floodedSpeed({ usual, tired: slow }) })}
          </p>
          <p style={{ margin: '0 0 8px' }}>{variation(rows[0].position, rows[0].at)}</p>
          <Table rows={rows} tired={slow !== undefined} />
        </>
      )}
      <p>{HAVENS.advises}</p>
    </main>
  );
}

function Table({ rows, tired }: { rows: CardRow[]; tired: boolean }) {
  const { reader, says } = useTrip();
  return (
    <table
      style={{
        borderCollapse: 'collapse',
        width: '100%',
        // A long trip stays on one page.
        ...(rows.length > MANY ? { fontSize: 11, lineHeight: 1.15 } : {}),
      }}
    >
      <thead>
        <tr>
          <Head>{HAVENS.at}</Head>
          <Head>{HAVENS.go}</Head>
          {tired ? <Head>{HAVENS.tired}</Head> : null}
          <Head>{HAVENS.flooded}</Head>
        </tr>
      </thead>
      <tbody>
        {stays(rows).map(({ at, until, usual, tired: slow, flooded }) => (
          <tr key={at} style={{ breakInside: 'avoid' }}>
            <th scope="row" style={{ ...CELL, fontWeight: 700 }}>
              {until === at ? clock(at, reader) : says(HAVENS.span, { at, until })}
            </th>
            <td style={CELL}>{said(usual)}</td>
            {tired ? <td style={CELL}>{said(slow, usual)}</td> : null}
            <td style={CELL}>{said(flooded, usual)}</td>
          </tr>
        ))}
      </tbody>
    </table>
  );

  /** Where to, or how long where it is the same place. */
  function said(landing: Landing | undefined, as?: Landing): string {
    if (!landing) return HAVENS.nowhere;
    const { place, metres, bearing, seconds = 0, doubts } = landing;
    const kind = place.shore ? SHORES[place.shore] : HAVENS.unsaid;
    if (metres < ARRIVED) return plainly(HAVENS.here, { name: place.name, kind });
    if (as?.place.id === place.id) return says(HAVENS.same, { seconds });
    const line = says(HAVENS.to, { name: place.name, kind, metres, bearing, seconds });
    return doubts.length > 0 ? plainly(HAVENS.doubt, { line }) : line;
  }
}

/** So many half hours find room on a page at the usual size. */
const MANY = 16;

function Head({ children }: { children: ReactNode }) {
  return (
    <th scope="col" style={{ ...CELL, borderBottom: '2px solid currentColor' }}>
      {children}
    </th>
  );
}
