import { View } from 'react-native';
import { plainly } from '../data/settings';
import { usePalette } from './theme';
import { FONT, SIZE, TOUCH_WET } from './tokens';

/** What a link dials: the first run that looks like a number, without its blanks; `(0)` behind a country’s code is not dialled. */
const dialled = (number: string) =>
  (/[+*#\d][\d\s()./#*-]*/.exec(number.replace(/(\+\d+\s*)\(0\)/, '$1'))?.[0] ?? '').replace(/[^\d+*#]/g, '');

/** A number to ring, and to text where a person answers: links of the phone itself. */
export function Phone({ name, number, text = true }: { name: string; number: string; text?: boolean }) {
  const p = usePalette();
  const to = dialled(number);
  if (to === '') return null;
  const look = {
    display: 'inline-flex',
    alignItems: 'center',
    minHeight: TOUCH_WET,
    padding: '0 4px',
    color: p.ink,
    fontFamily: FONT.read,
    fontSize: SIZE.section,
    fontWeight: 600,
  } as const;
  return (
    <View style={{ flexDirection: 'row', flexWrap: 'wrap', columnGap: 20 }}>
      <a href={`tel:${to}`} style={look}>
        {plainly('Ring {name}: {number}', { name, number })}
      </a>
      {text ? (
        <a href={`sms:${to}`} style={look}>
          {plainly('Text {name}', { name })}
        </a>
      ) : null}
    </View>
  );
}
