import { View } from 'react-native';
import type { Entry } from '@escale/core/logbook/entries';
import type { Says } from '@escale/core/say';
import { T } from '../../ui/text';
import { LOG } from './words';

/** One trip in two or three lines; what nobody told is left out. */
export function EntryRow({ entry, says }: { entry: Entry; says: Says }) {
  const { on, title, who, boat, water, untold } = entry;
  const figures = untold ? [] : figuresOf(entry, says);
  return (
    <View style={{ gap: 2 }}>
      <T as="strong">{says(LOG.entry, { on, title: title ?? LOG.untitled })}</T>
      {who.length > 0 ? (
        <T as="soft">{says(LOG.entryWho, { who, boat: boat ?? LOG.noName, water: water ?? LOG.noName })}</T>
      ) : null}
      <T as={untold ? 'strong' : 'body'}>
        {untold ? LOG.untold : figures.length === 0 ? LOG.toldLittle : figures.join(' · ')}
      </T>
    </View>
  );
}

function figuresOf(entry: Entry, says: Says): string[] {
  const { out, metres, speed, wind, cold, kept, dark, miss } = entry;
  return [
    ...(out === undefined ? [] : [says(LOG.entryOut, { out })]),
    ...(metres === undefined ? [] : [says(LOG.entryWay, { metres })]),
    ...(speed === undefined ? [] : [says(LOG.entrySpeed, { speed })]),
    ...(wind === undefined ? [] : [says(LOG.entryWind, { wind })]),
    ...(cold === undefined ? [] : [says(LOG.entryCold, { cold })]),
    ...(kept > 0 ? [says(LOG.entryKept, { n: kept })] : []),
    ...(dark === true ? [LOG.entryDark] : []),
    ...(miss ? [LOG.entryMiss] : []),
  ];
}
