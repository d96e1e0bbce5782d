/** How long a limit is passed before what would help: bands, estimates, never a countdown. */
export const GAP_WORDS = {
  'gap.under.closed': 'Who wears no jacket is seen or out of the water before they may go under.',
  'gap.under.up': 'Who wears no jacket may go under up to {until:span} before anybody knows.',
  'gap.under.band': 'Who wears no jacket may go under {from:span} to {until:span} before anybody knows.',
  'gap.under.from':
    'Who wears no jacket may go under {from:span} or more before anybody knows: nothing sure ends it.',
  'gap.under.ever': 'Who wears no jacket may go under, and nothing sure tells anybody.',
  'gap.hands.closed': 'Somebody knows, or they are out of the water, before their hands may fail.',
  'gap.hands.up': 'Hands may fail up to {until:span} before anybody knows.',
  'gap.hands.band': 'Hands may fail {from:span} to {until:span} before anybody knows.',
  'gap.hands.from': 'Hands may fail {from:span} or more before anybody knows: nothing sure ends it.',
  'gap.hands.ever': 'Hands may fail, and nothing sure tells anybody.',
  'gap.worn.closed': 'Somebody knows, or they are out of the water, before they may be worn out.',
  'gap.worn.up': 'They may be worn out up to {until:span} before anybody knows.',
  'gap.worn.band': 'They may be worn out {from:span} to {until:span} before anybody knows.',
  'gap.worn.from': 'They may be worn out {from:span} or more before anybody knows: nothing sure ends it.',
  'gap.worn.ever': 'They may be worn out, and nothing sure tells anybody.',
  'gap.late.closed': 'Help is there, or they are out of the water, before they may be worn out.',
  'gap.late.up': 'They may be worn out up to {until:span} before help is there.',
  'gap.late.band': 'They may be worn out {from:span} to {until:span} before help is there.',
  'gap.late.from': 'They may be worn out {from:span} or more before help is there: nothing sure ends it.',
  'gap.late.ever': 'They may be worn out, and nothing sure brings help before.',
  'gap.full.closed': 'She is at the nearest landing before she may be full.',
  'gap.full.up': 'She may be full up to {until:span} before she is at the nearest landing.',
  'gap.full.band': 'She may be full {from:span} to {until:span} before she is at the nearest landing.',
  'gap.full.from':
    'She may be full {from:span} or more before she is at the nearest landing: nothing sure ends it.',
  'gap.full.ever': 'She may be full, and no landing is sure to be reached before.',
  'gap.rocks.closed': 'She is held, or somebody knows, before she may be on a shore where one does not land.',
  'gap.rocks.up':
    'She may be on a shore where one does not land up to {until:span} before she is held or anybody knows.',
  'gap.rocks.band':
    'She may be on a shore where one does not land {from:span} to {until:span} before she is held or anybody knows.',
  'gap.rocks.from':
    'She may be on a shore where one does not land {from:span} or more before she is held or anybody knows: nothing sure ends it.',
  'gap.rocks.ever': 'She may be on a shore where one does not land: nothing sure holds her or tells anybody.',
  'gap.dark.closed': 'Something shines, or somebody knows, before it is dark.',
  'gap.dark.up': 'It may be dark, with nothing that shines, up to {until:span} before anybody knows.',
  'gap.dark.band':
    'It may be dark, with nothing that shines, {from:span} to {until:span} before anybody knows.',
  'gap.dark.from':
    'It may be dark, with nothing that shines, {from:span} or more before anybody knows: nothing sure ends it.',
  'gap.dark.ever': 'It may be dark, with nothing that shines, and nothing sure tells anybody.',
  'gap.open.closed': 'They are at a landing.',
  'gap.open.up': 'They may be out in thunder up to {until:span} before they are at the nearest landing.',
  'gap.open.band':
    'They may be out in thunder {from:span} to {until:span} before they are at the nearest landing.',
  'gap.open.from':
    'They may be out in thunder {from:span} or more before they are at the nearest landing: nothing sure ends it.',
  'gap.open.ever': 'They may be out in thunder: no landing is sure to be reached.',
  'gap.ashore.closed': 'They are at a landing.',
  'gap.ashore.up': 'It may take up to {until:span} to the nearest landing, or to help.',
  'gap.ashore.band': 'It may take {from:span} to {until:span} to the nearest landing, or to help.',
  'gap.ashore.from':
    'It takes {from:span} or more to the nearest landing, or to help: nothing sure gets them there.',
  'gap.ashore.ever': 'Nothing sure gets them to a landing, or help to them.',
  'gap.blind.closed': 'There is a way to find home in fog, and something to be heard by.',
  'gap.blind.up': 'In fog there is nothing sure to find home by, or to be heard by, for up to {until:span}.',
  'gap.blind.band':
    'In fog there is nothing sure to find home by, or to be heard by, for {from:span} to {until:span}.',
  'gap.blind.from':
    'In fog there is nothing sure to find home by, or to be heard by, for {from:span} and more.',
  'gap.blind.ever':
    'In fog there is nothing sure to find home by and to be heard by, for as long as it lasts.',
  'gap.silent.closed': 'Somebody knows at once.',
  'gap.silent.up': 'Something may be wrong up to {until:span} before anybody knows.',
  'gap.silent.band': 'Something may be wrong {from:span} to {until:span} before anybody knows.',
  'gap.silent.from': 'Something may be wrong {from:span} or more before anybody knows: nothing sure ends it.',
  'gap.silent.ever': 'Something may be wrong, and nothing sure tells anybody.',
  'gap.adrift.closed': 'She is ashore, or somebody knows, before she drifts far.',
  'gap.adrift.up': 'She may drift up to {until:span} before anybody knows.',
  'gap.adrift.band': 'She may drift {from:span} to {until:span} before anybody knows.',
  'gap.adrift.from': 'She may drift {from:span} or more before anybody knows: nothing sure ends it.',
  'gap.adrift.ever': 'She may drift, and nothing sure tells anybody.',
  'gap.under-aboard.closed': 'They are out of the water before they may go under.',
  'gap.under-aboard.up':
    'Who wears no jacket may go under up to {until:span} before they are out of the water.',
  'gap.under-aboard.band':
    'Who wears no jacket may go under {from:span} to {until:span} before they are out of the water.',
  'gap.under-aboard.from':
    'Who wears no jacket may go under {from:span} or more before they are out of the water: nothing sure ends it.',
  'gap.under-aboard.ever': 'Who wears no jacket may go under, and nothing sure brings them out of the water.',
  'gap.hands-aboard.closed': 'They are out of the water before their hands may fail.',
  'gap.hands-aboard.up': 'Hands may fail up to {until:span} before they are out of the water.',
  'gap.hands-aboard.band': 'Hands may fail {from:span} to {until:span} before they are out of the water.',
  'gap.hands-aboard.from':
    'Hands may fail {from:span} or more before they are out of the water: nothing sure ends it.',
  'gap.hands-aboard.ever': 'Hands may fail, and nothing sure brings them out of the water.',
  'gap.worn-aboard.closed': 'They are out of the water before they may be worn out.',
  'gap.worn-aboard.up': 'They may be worn out up to {until:span} before they are out of the water.',
  'gap.worn-aboard.band':
    'They may be worn out {from:span} to {until:span} before they are out of the water.',
  'gap.worn-aboard.from':
    'They may be worn out {from:span} or more before they are out of the water: nothing sure ends it.',
  'gap.worn-aboard.ever': 'They may be worn out, and nothing sure brings them out of the water.',
  'gap.leans.water': 'how cold the water is, which is not known',
  'gap.leans.clothes': 'what they wear, which was not said',
  'gap.leans.jacket': 'whether the jacket is worn, which was not said',
  'gap.leans.invented': 'weather that is made up for show',
  'gap.leans.hull': 'her openings and measures, which are not known',
  'gap.leans.hole': 'an opening or measures that were only guessed',
  'gap.leans.shore': 'a shore of which nobody said what it is like',
  'gap.leans.stream': 'the stream, which is not known',
  'gap.leans.landing': 'a landing of which something is not known',
  'gap.leans.simulated': 'a telephone that is simulated here and reaches nobody',
} as const;
