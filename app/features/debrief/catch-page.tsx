import { View } from 'react-native';
import { useState } from 'react';
import { CATALOGUE } from '@escale/core/kit';
import { Button } from '../../ui/button';
import { Page } from '../../ui/page';
import { TextLink } from '../../ui/press';
import { T } from '../../ui/text';
import { sectionHref, thingHref } from '../../data/where';
import { useTrip } from '../trip/use-trip';
import { useDebrief } from './begun';
import { CATCH } from './catch-words';
import { Catches } from './catch';

/** On the water: keep or release, the licence, and the marks on what is left in the water. */
export function CatchPage() {
  const { trip } = useTrip();
  const { held, begin } = useDebrief();
  const [begun, setBegun] = useState(false);
  const go = () => {
    setBegun(true);
    begin(false);
  };
  return (
    <Page
      title={CATCH.pageTitle}
      lead={CATCH.pageLead}
      aside={<TextLink href={sectionHref(trip.id, 'home/debrief')}>{CATCH.back}</TextLink>}
    >
      {held ? (
        <Catches held={held} />
      ) : (
        <>
          <T as="soft">{CATCH.beginLead}</T>
          <Button kind="main" wet busy={begun} onPress={go}>
            {CATCH.begin}
          </Button>
        </>
      )}
      <Licence />
      <Traps />
    </Page>
  );
}

/** Whether a licence is aboard, as the list of the trip has it. */
function Licence() {
  const { trip, assessment, shed, says } = useTrip();
  const asked = assessment.requirements.find(({ anyOf }) =>
    anyOf.some((all) => all.some((demand) => 'capability' in demand && demand.capability === 'licence')),
  );
  const [used] = asked?.met === 'yes' ? asked.metBy : [];
  const what = shed.gear.find(({ id }) => id === used?.item)?.name;
  return (
    <View style={{ gap: 4 }}>
      <T as="section" heading={2}>
        {CATCH.licence}
      </T>
      <T>{what === undefined ? CATCH.licenceOpen : says(CATCH.licenceMet, { what })}</T>
      <TextLink href={sectionHref(trip.id, 'pack/kit')}>{CATCH.licenceGo}</TextLink>
    </View>
  );
}

/** Kinds that carry a number of their own. */
const MARKED: ReadonlySet<string> = new Set(
  CATALOGUE.kinds.filter(({ marked }) => marked === true).map(({ id }) => id),
);

const MARKS = {
  both: CATCH.trapBoth,
  one: CATCH.trapOne,
  none: CATCH.trapNone,
} as const;

function Traps() {
  const { shed, says } = useTrip();
  const traps = shed.gear.filter(
    ({ kind, stowage, count }) => MARKED.has(kind) && stowage !== 'home' && count > 0,
  );
  if (traps.length === 0) return null;
  return (
    <View style={{ gap: 4 }}>
      <T as="section" heading={2}>
        {CATCH.traps}
      </T>
      {traps.map(({ id, name, marks }) => (
        <View key={id}>
          <T>{says(marks === undefined ? CATCH.trapOpen : MARKS[marks], { name })}</T>
          {marks === 'both' ? null : (
            <TextLink href={`${thingHref('gear', id)}?at=${encodeURIComponent('/marks')}`}>
              {says(CATCH.trapLook, { name })}
            </TextLink>
          )}
        </View>
      ))}
    </View>
  );
}
