/** Sentences of the way over the water: its shore, depths and hazards, what is allowed where it begins and ends. */
export const WAY_WORDS = {
  'way.chart.none.title': 'Neither shore nor depths of {water} are drawn',
  'way.chart.none.why': 'So nobody looked whether the way goes over land or over a bank.',
  'way.chart.shore.title': 'The shore of {water} is not drawn',
  'way.chart.shore.why': 'So nobody looked whether the way goes over land.',
  'way.chart.depths.title': 'No depths of {water} are drawn',
  'way.chart.depths.why': 'So nobody looked whether there is water enough on the way.',
  'way.chart.mend': 'Open the chart',
  'way.land.title': 'The way goes over land',
  'way.land.why': '{from} to {to}: {metres:distance} over land, {along:distance} after {from}.',
  'way.land.line': '{from} to {to} crosses the shore {along:distance} after {from}.',
  'way.land.mend': 'Lead the way round',
  'way.land.thinned': 'The shore was thinned when it was loaded: it may be off by {metres:distance}.',
  'way.hazard.title': 'Close by {hazard}',
  'way.hazard.why':
    '{from} to {to} passes {metres:distance} from {hazard}. You said to keep {reach:distance} off.',
  'way.hazard.usual':
    '{from} to {to} passes {metres:distance} from {hazard}. Nobody said how far to keep off; {reach:distance} is taken.',
  'way.hazard.reach': 'Say how far to keep off',
  'way.mast.title': 'Her mast and {hazard}',
  'way.mast.low':
    '{hazard} has {clear:height} under it at high water; her mast stands {mast:height} above the water.',
  'way.mast.close':
    '{hazard} has {clear:height} under it at high water; her mast stands {mast:height} above the water, which leaves less than {least:height}.',
  'way.mast.unknown': 'The way passes under {hazard}, and nobody entered the height that is clear under it.',
  'way.mast.mast': 'The way passes under {hazard}, and nobody entered how tall her mast is.',
  'way.mast.mend': 'Enter the height',
  'way.shallow.title': 'Too little water on the way',
  'way.shallow.dry': '{from} to {to}: at {at:clock} a bank lies dry, {above:height} out of the water.',
  'way.shallow.thin':
    '{from} to {to}: at {at:clock} there is {water:height} of water. She needs {need:height}: her draught and {spare:height} to spare.',
  'way.shallow.unknown.title': 'Whether there is water on the way is not known',
  'way.shallow.unknown':
    '{from} to {to} leads over {least:height} at chart datum. She needs {need:height}, and the tide there at that hour is not known.',
  'way.shallow.draught': 'Her draught is reckoned, not said: {draught:height}.',
  'way.shallow.no-draught': 'Her draught is not known; {draught:height} is taken.',
  'way.shallow.mend': 'Change the way or the hour',
  'way.shallow.enter': 'Enter her draught',
  'way.car.title': 'You land elsewhere',
  'way.car.why': 'You leave from {launch} and land at {back}. Who brings you back to the car?',
  'way.car.trailer': 'Her trailer stands at {launch} as well.',
  'way.car.told': 'From {back} back to {launch}: {how}.',
  'way.car.second-car': 'with a second car that stands there already',
  'way.car.fetched': 'somebody fetches you',
  'way.car.public': 'by bus, train or taxi',
  'way.car.foot': 'on foot or by bicycle',
  'way.car.no-car': 'no car is left behind',
  'way.car.who': 'That is {who}.',
  'way.car.mend': 'Say how you come back',
  'sea.waves.title': 'Waves on the way',
  'sea.over.title': 'Waves over your limit',
  'sea.maybe.title': 'Waves may be over your limit',
  'sea.within.title': 'Waves within your limit',
  'sea.forecast': 'The forecast has waves of {waves:height} at {at:clock}.',
  'sea.forecast.over':
    'The forecast has waves of {waves:height} at {at:clock}; your limit is {limit:height}.',
  'sea.forecast.within':
    'The forecast has at most {waves:height}, at {at:clock}; your limit is {limit:height}.',
  'sea.raised':
    'Between {from} and {to} at {at:clock}: {low:height} to {high:height} every {short} to {long} seconds, raised by {wind:speed} over {fetch:distance} of open water from {bearing:bearing}.',
  'sea.limit': 'Your limit is {limit:height}.',
  'sea.methods':
    'Reckoned from wind and fetch by five published formulas, in a wind that has blown for an hour or two; one wave in a thousand is nearly twice as high. Wind against a stream makes them steeper.',
  'sea.deep':
    'In deep water: no depth is drawn there, or the tide is not known. Over a bank waves are lower and break.',
  'sea.open.title': 'Waves from further out are not known',
  'sea.open':
    'Between {from} and {to} at {at:clock} the wind comes from {bearing:bearing}, where no shore is drawn. What it raises out there no forecast says.',
  'sea.offshore.title': 'The wind blows off the land',
  'sea.offshore':
    'Between {from} and {to} at {at:clock}: {wind:speed} from {bearing:bearing}, off the nearest shore, and none to leeward within reach.',
  'sea.offshore.why': 'It lies flat at the beach and is rougher the further out; the way back is against it.',
  'sea.lee.title': 'A shore close to leeward',
  'sea.lee':
    'Between {from} and {to} at {at:clock} {wind:speed} set onto the shore {metres:distance} to leeward: with nothing driving her she is there soon.',
  'way.stuck.title': 'The stream is faster than she goes',
  'way.stuck':
    'From {from} to {to} at {at:clock} it runs {stream:speed} towards {bearing:bearing}: she makes no way against it, and no hours can be told.',
  'sea.against.title': 'Wind against the stream',
  'sea.against':
    'Between {from} and {to} at {at:clock} {wind:speed} of wind stand against {stream:speed} of stream: waves {times:ratio} times as steep as elsewhere.',
  'sea.against.stops':
    'Between {from} and {to} at {at:clock} {wind:speed} of wind stand against {stream:speed} of stream: it stops such waves, and they break.',
  'sea.against.why':
    'The same place an hour later may be calm. The theory gives too much near the stream that stops them.',
  'stream.none.title': 'Streams on {water} are not known',
  'stream.none':
    'So the hours are those of still water, and nobody looked where wind stands against a stream.',
  'stream.part.title': 'The stream is not known for all hours',
  'stream.part': '{name} says nothing at {at:clock}; for such hours the water is taken to stand still.',
  'at.stream.one': 'One stream is taken for the whole water.',
  'typed.stream.turn': 'Line {n}: an hour and slack, flood or ebb, such as 06:05 flood 1.2.',
  'typed.stream.speed': 'Line {n}: flood and ebb have a speed in knots, slack has none.',
  'typed.stream.gap': 'Line {n}: the clocks leave that hour out.',
  'typed.stream.hour': 'Line {n}: hours from high water, towards in degrees, knots, such as -3 045 1.4 0.7.',
  'typed.stream.twice': 'Line {n}: hour {hour} stands there twice.',
  'typed.stream.rows': 'At least two lines.',
  'stream.mend': 'Enter the streams',
  'river.rising.title': 'The river is rising',
  'river.rising': 'A rising river runs faster, carries trees and covers what one knew.',
  'river.untold.title': 'How {water} stands is not known',
  'river.untold':
    'Rain up-country changes level, speed and what drifts in it for days. Look at the gauge, or ask.',
  'river.old.title': 'How {water} stood is from another day',
  'river.old': 'It was seen on {on:date}.',
  'river.mend': 'Say how it stands',
  'place.craft.title': '{place} is not for her',
  'place.craft.why': 'What you entered of {place} allows {what:list}, and not: {boat}.',
  'place.open.title': '{place} is shut at that hour',
  'place.open.leave': 'You leave at {at:clock}; {place} is open {span}.',
  'place.open.return': 'You are back at {at:clock}; {place} is open {span}.',
  'place.open.both': 'from {opens} to {closes}',
  'place.open.from': 'from {opens} on',
  'place.open.until': 'until {closes}',
  'place.told.old.title': 'What is allowed at {place} is from a season ago',
  'place.told.old':
    'It was last confirmed {days:count} days ago. By-laws of one beach change, and the next has others.',
  'place.told.undated.title': 'What is allowed at {place} was never confirmed',
  'place.told.undated': 'No day stands beside it.',
  'place.told.untold.title': 'Nobody looked up what is allowed at {place}',
  'place.told.untold':
    'Launching, zones, hours, licences and swimmers are ruled beach by beach. Ask the local authority, each time you go somewhere new.',
  'place.told.mend': 'Enter what is allowed',
  'water.number.old.title': 'The number to ring is from a season ago',
  'water.number.old': '{number} ({who}) was last confirmed {days:count} days ago.',
  'water.number.mend': 'Confirm the number',
} as const;
