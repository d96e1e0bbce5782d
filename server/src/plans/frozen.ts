import type { Debrief, Shed, Trip } from '@escale/core/model';

/**
 * What of a shed a filed plan keeps: all that its assessment was reckoned from, and nothing of anybody who has no part in it. Of
 * people who are not aboard it stays that they are there, because their gear counts; nobody's illnesses are kept, nor what was
 * noted after other trips.
 */
export function frozenShed(trip: Trip, shed: Shed): Shed {
  const company = trip.company ?? [];
  const aboard = new Set([...trip.crew.map((c) => c.person), ...company.flatMap((c) => c.people)]);
  const boats = new Set([trip.boat, ...company.map((c) => c.boat)]);
  const water = shed.waters.find((w) => w.id === trip.water);
  const named = new Set([trip.launch, trip.return, ...trip.halts.map((h) => h.place)]);
  return {
    ...shed,
    people: shed.people.map(({ medical: _medical, ...person }) =>
      aboard.has(person.id) ? person : { id: person.id, name: NOT_ABOARD },
    ),
    contacts: shed.contacts.filter((c) => trip.contacts.includes(c.id)),
    boats: shed.boats.filter((b) => boats.has(b.id)),
    waters: water ? [water] : [],
    places: shed.places.filter((p) => named.has(p.id) || (water && p.water === water.id)),
    debriefs: shed.debriefs.map((debrief) => learntFrom(debrief, aboard)),
    runs: shed.runs.filter((run) => run.trip === trip.id),
    drills: shed.drills.flatMap(({ wrong: _wrong, ...drill }) => {
      const who = drill.who.filter((person) => aboard.has(person));
      return who.length > 0 ? [{ ...drill, who }] : [];
    }),
  };
}
/** Of a debrief what later plans go by: what was forgotten, how it was, and that those aboard were there. */
function learntFrom(debrief: Debrief, aboard: ReadonlySet<string>): Debrief {
  const {
    note: _note,
    miss: _miss,
    caught: _caught,
    well: _well,
    things: _things,
    parts: _parts,
    track: _track,
    left: _left,
    home: _home,
    who,
    ...kept
  } = debrief;
  return { ...kept, ...(who ? { who: who.filter((person) => aboard.has(person)) } : {}) };
}

/** In the place of the name of somebody who is not aboard. */
export const NOT_ABOARD = 'not aboard';
