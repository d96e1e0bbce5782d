/** Sentences of holding a place: what pulls, what holds, and where one does not anchor. */
export const HOLD_WORDS = {
  'hold.not.title': 'Do not anchor at {place}',
  'hold.not.pole': 'Do not stake out at {place}',
  'hold.stream.over':
    'At {at:clock} a stream of {speed:speed} runs there. From a boat like this nobody lies held in about {most:speed} or more: the pull grows with its square, and she rolls under.',
  'hold.stream.mend': 'Choose another place or hour',
  'hold.stream.unknown.title': 'The stream at {place} is not known for all of the stay',
  'hold.stream.unknown':
    'In about {most:speed} or more nobody lies held from a boat like this. Look before you do.',
  'hold.stream.unknown.other': 'So the pull on the line is not known either.',
  'hold.stream.way': '{water} runs at {speed:speed}; nobody said which way.',
  'hold.fast.title': 'The stream at {place} is faster than her hull',
  'hold.fast':
    'At {at:clock} it runs {speed:speed}; her own wave travels at {hull:speed}. Beyond that no sum of ours holds, and a boat can be pulled under.',
  'hold.breakers.said': 'You said that waves break there.',
  'hold.breakers.steep':
    'At {at:clock} waves of {wave:height} stand on {depth:height} of water: beyond {most:percent} of the depth they break.',
  'hold.breakers.chop':
    'At {at:clock} waves of {wave:height}: in more than {most:height} nobody lies held from a boat like this.',
  'hold.debris.said':
    'You said that things drift down there: they catch on the line and take the boat along.',
  'hold.traffic.said': 'You said that boats come through there.',
  'hold.traffic.near': '{hazard} is {metres:distance} away, and you would lie within {reach:distance} of it.',
  'hold.comes.title': 'What comes by at {place}',
  'hold.comes': 'Somebody looks out, and she can be got away at once.',
  'hold.seen.mend': 'Say what comes there',
  'hold.release.none':
    'Nothing lets {anchor} go with one hand from the seat. A wake, a stream that builds, a strong fish or a boat coming at you leave no time for a knot.',
  'hold.release.mend': 'Say how it is let go',
  'hold.release.unknown.title': 'How {anchor} is let go',
  'hold.release.unknown': 'Nobody said whether it opens with one hand from the seat.',
  'hold.knife.none': 'No knife is on anybody or in reach: it is what is left when a release jams.',
  'hold.river.flows':
    '{water} runs at {speed:speed}. In a river that flows an anchor holds small boats under; it is not offered.',
  'hold.river.unknown':
    'How {water} runs is not known. In a river that flows an anchor holds small boats under; it is not offered.',
  'hold.river.mend': 'Say how the river stands',
  'hold.side.side':
    'The line is to lead from the side. Beam-on she shows wind and stream many times over, and the pull comes from low down on one side: that is a capsize.',
  'hold.side.stern':
    'The line is to lead from the stern. Small boats with a transom sink so: waves and stream come over it.',
  'hold.side.pole':
    'The line is to lead from the side, and at {at:clock} wind or stream is more than a light breeze of {light:speed} or still water ({still:speed}). Beyond that nobody lies across them, on a pole either.',
  'hold.side.schools.title': 'Lying across on a pole at {place}',
  'hold.side.schools':
    'Some do it in still shallows, in up to {light:speed} of wind, with a release at the seat; others never. Look at the heel before you do.',
  'hold.side.mend': 'Lead it from the bow',
  'hold.how.title': 'What holds her at {place}',
  'hold.how.why': 'Nobody said whether you anchor, drift or land there.',
  'hold.how.mend': 'Say how you stay there',
  'hold.hours.title': 'Lying held at {place}',
  'hold.hours.why': 'No hours of it can be told, so nobody looked at stream, depth and line.',
  'hold.none.title': 'No anchor is aboard',
  'hold.none.why': 'Nothing that would hold her at {place}.',
  'hold.what.anchor': 'anchor',
  'hold.what.knife': 'knife',
  'hold.what.pole': 'stake-out pole',
  'hold.line.title': 'Line enough for {place}',
  'hold.line.short.title': 'Too little line for {place}',
  'hold.line.depth':
    '{anchor}: {there:height} of line and chain, and from the ground to where it is made fast it is {height:height} at its deepest. It does not reach.',
  'hold.line.short':
    '{anchor}: {there:height} of line and chain, and {need:height} to let out: {scope} times the {height:height} from the ground to her bow, at {at:clock}.',
  'hold.line.least':
    '{anchor}: {there:height} of line and chain. That is {scope} times the {height:height} from the ground to her bow, at {at:clock}; seven are usual, five the least.',
  'hold.line.enough':
    '{anchor}: {there:height} of line and chain; {need:height} are let out for seven times the {height:height} from the ground to her bow, at {at:clock}.',
  'hold.line.unknown.title': 'Whether there is line enough at {place}',
  'hold.line.unsaid': 'Nobody entered how long the line of {anchor} is.',
  'hold.line.mend': 'Enter its length',
  'hold.depth.none': 'The depth at {place} is not known.',
  'hold.depth.tide':
    'The depth at {place} follows the tide, and nothing tells its height for all of the stay.',
  'hold.depth.tide.mend': 'Choose a tide station',
  'hold.depth.least': 'The depth is the least of its area on the chart: it may be more.',
  'hold.depth.mend': 'Enter the depth',
  'hold.bow.guessed': 'Measures or weights of her are guessed; so is the height of her bow.',
  'hold.drags.title': '{anchor} does not hold at {place}',
  'hold.may.title': '{anchor} may drag at {place}',
  'hold.holds.title': '{anchor} holds at {place}, by our estimate',
  'hold.unvouched.title': '{anchor} at {place}: can’t be vouched for',
  'hold.unknown.title': 'Whether {anchor} holds at {place}',
  'hold.why':
    'At {at:clock} the line has {low:force} to {high:force} to hold, with gusts, sheering and waves; the anchor holds {least:force} to {most:force}.',
  'hold.wind.may': 'From a wind of {wind:speed} on it may drag.',
  'hold.light': 'Under {vouched:mass} nobody stands by figures for an anchor: trust what you see, not this.',
  'hold.lacks.weight': 'Nobody entered what kind of anchor it is and what it weighs.',
  'hold.lacks.line': 'Nobody entered how long its line is.',
  'hold.lacks.wind': 'The wind is not known for all of the stay.',
  'hold.lacks.stream': 'The stream is not known for all of the stay.',
  'hold.lacks.depth': 'The depth is not known.',
  'hold.lacks.boat': 'Her length and beam are not known, so nothing tells what wind and stream push on.',
  'hold.anchor.mend': 'Enter kind, weight and line',
  'hold.estimate':
    'Pull and holding are our own estimate: areas, surge and the ratios of anchors are not published for small boats.',
  'hold.poor.title': '{anchor} on this bottom',
  'hold.poor': 'A {kind} is poor on {bottom}. Better there: {better:or}.',
  'hold.poor.none': 'A {kind} is poor on {bottom}.',
  'hold.bottom.title': 'What the bottom of {place} is',
  'hold.bottom': 'Nobody said. Anchors that hold in sand slide on rock, and the other way round.',
  'hold.bottom.mend': 'Say what it is',
  'hold.swing.title': 'Swinging at {place}',
  'hold.swing.shore':
    'With all of her line out she comes as far as {radius:height}; the shore is {metres:distance} away.',
  'hold.swing.hazard':
    'With all of her line out she comes as far as {radius:height}; {hazard} begins {metres:distance} away.',
  'hold.swing.boat':
    'She swings over {radius:height} to every side, and the nearest other boat is {metres:height} away and swings too. Boats on chain and on line swing unlike.',
  'hold.swing.shoal':
    'Within {radius:height} there is {depth:height} of water at the lowest, and she draws {draught:height}.',
  'hold.swing.unknown':
    'Neither shore nor depths are drawn around {place}: look round before you let go, {radius:height} to every side.',
  'hold.swing.mend': 'Anchor elsewhere',
  'hold.aground.title': 'Too little water under her at {place}',
  'hold.aground':
    'At {at:clock} there are {depth:height}, and she draws {draught:height}: she takes the ground, or waits for the tide.',
  'hold.turns.title': 'She swings round at {place}',
  'hold.turns':
    'Between {from:clock} and {until:clock} she turns from {before:bearing} to {after:bearing}: over her anchor, which may foul or pull out. Look again then.',
  'hold.pole.none.title': 'No pole is aboard',
  'hold.pole.none': 'You said that a pole holds her at {place}.',
  'hold.pole.deep.title': 'Too deep for a pole at {place}',
  'hold.pole.deep':
    'At {at:clock} there are {depth:height} of water. Poles are for {usual:height}, some go to {most:height}; use an anchor.',
  'hold.pole.usual.title': 'Deep for a pole at {place}',
  'hold.pole.drags.title': '{pole} does not hold at {place}',
  'hold.pole.may.title': '{pole} may give way at {place}',
  'hold.pole.holds.title': '{pole} holds at {place}, by our estimate',
  'hold.pole.unknown.title': 'Whether {pole} holds at {place}',
  'hold.pole.why':
    'At {at:clock} it has {low:force} to {high:force} to hold, with gusts and waves; ground and pole hold {least:force} to {most:force}. With wind or stream use an anchor.',
  'hold.pole.stands': 'It does not stand: {long:height} long in {depth:height} of water.',
  'hold.pole.lacks': 'Nobody entered how long and thick it is and what it is made of.',
  'hold.pole.mend': 'Enter its measures',
  'hold.pole.estimate':
    'What ground holds of a pole is our own estimate by formulas of short piles: nobody tests it from a boat.',
  'hold.pole.line.title': 'Line of {pole}',
  'hold.pole.line':
    '{there:length}; from amidships to past either end of her and slack for the waves it takes {need:length}.',
  'hold.float.title': 'No float on the line of {anchor}',
  'hold.float': 'Let go in a hurry it lies on the bottom with nothing to come back for.',
  'hold.float.mend': 'Say that there is one',
  'cut.anchor': 'The anchor',
  'cut.anchor.named': '{name}',
  'cut.weak': 'A tie that breaks, on rock and weed',
  'cut.weak.how':
    'Chain made fast at the crown, tied along the shank by a thin cable tie: a hard pull breaks it, and the anchor comes out backwards.',
  'cut.chain': 'Chain, {chain:height}',
  'cut.shackle': 'A shackle, its pin wired so that it can’t turn out.',
  'cut.line': 'Line, {line:height}: seven times the depth and her bow at high water, less the chain',
  'cut.line.unknown': 'Line: seven times the depth and her bow at high water, less the chain',
  'cut.bend': 'Spliced round a thimble, or an anchor bend with its end seized.',
  'cut.float': 'A float that slides on the line',
  'cut.stop': 'A figure of eight as a stop at its inner end, so that it can’t run off.',
  'cut.release': 'A clip or jam cleat by the seat',
  'cut.release.how':
    'The line through the ring of the rig and into it; the end past it free, never tied to her.',
  'cut.chafe': 'A hose or leather where the line goes over the bow',
  'cut.end': 'A cleat or eye at the bow',
  'cut.end.how':
    'The inner end made fast there by a round turn and two half hitches, before any of it goes over.',
  'cut.points': '{n} fixed points along one side, from the stern at {at:list}',
  'cut.at': '{x:length}',
  'cut.points.how': 'Screwed through with a plate behind, never into bare plastic.',
  'cut.ends': 'A pulley at either end, one of them on a short elastic',
  'cut.loop':
    'Line for the loop, {low:height} to {high:height}, five or six millimetres, that does not stretch',
  'cut.loop.how': 'Both ends to the ring by bowlines with long tails.',
  'cut.ring': 'One ring, smooth and without a gate that could catch',
  'cut.lock': 'A small cleat by the seat to lock the loop',
  'bottom.sand': 'sand',
  'bottom.mud': 'firm mud',
  'bottom.silt': 'soft mud',
  'bottom.gravel': 'gravel',
  'bottom.rock': 'rock',
  'bottom.weed': 'weed',
  'anchor.folding': 'folding grapnel',
  'anchor.fluke': 'anchor with pivoting flukes',
  'anchor.plough': 'plough or scoop',
  'anchor.claw': 'claw',
  'anchor.fisherman': 'fisherman',
  'anchor.mushroom': 'mushroom',
} as const;
