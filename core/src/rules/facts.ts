import type { FieldRef } from '../model';
import {
  CRAFT,
  IN_WATER,
  JETTIES,
  LAUNCHES,
  LETS_GO,
  RESTS,
  ROLES,
  SKILLED,
  SURFACES,
  SWIMMING,
  TODAY,
  WATERS,
  WINCHES,
} from '../model/lists';
import type { WordKey } from '../say';
import type { Quantity } from '../units';

/** A range stands for a value that is only known within limits (an age from a birth year, a temperature over a day). */
export type FactValue = boolean | number | string | { low: number; high: number };
/** Facts by name. Absent means unknown, never false. */
export type Facts = Record<string, FactValue | undefined>;

export interface FactSpec {
  word: WordKey;
  quantity?: Quantity;
  words?: Record<string, string>;
  /** Where a person settles it. */
  at: Omit<FieldRef, 'id'>;
}

/** Kinds of gear that steps ask for: what is aboard decides how they go. */
export const ASKED_ABOARD = [
  'anchor',
  'boarding-ladder',
  'boarding-strap',
  'drag-strap',
  'drift-sock',
  'electric-pump',
  'extinguisher',
  'extinguisher-10b',
  'extinguisher-large',
  'extinguisher-old',
  'flip-line',
  'immersion-suit',
  'knife',
  'life-raft',
  'paddle-float',
  're-entry-strap',
  'righting-bag',
  'righting-line',
  'sea-anchor',
  'spare-paddle',
  'spray-deck',
  'stake-pole',
  'throw-bag',
  'tow-line',
] as const;
const aboard = (kind: string): [string, FactSpec] => [
  `kit.${kind}`,
  { word: 'fact.kit', at: { type: 'trip', pointer: '/stow' } },
];

/** Every fact a condition may name. A pack that names another is refused. */
export const FACTS: Record<string, FactSpec> = {
  ...Object.fromEntries(ASKED_ABOARD.map(aboard)),
  'boat.kind': { word: 'fact.boat.kind', words: CRAFT, at: { type: 'trip', pointer: '/boat' } },
  'boat.length': { word: 'fact.boat.length', quantity: 'length', at: { type: 'boat', pointer: '/length' } },
  'boat.modelYear': {
    word: 'fact.boat.modelYear',
    quantity: 'year',
    at: { type: 'boat', pointer: '/modelYear' },
  },
  'boat.motor': { word: 'fact.boat.motor', at: { type: 'boat', pointer: '/propulsion' } },
  'boat.combustion': { word: 'fact.boat.combustion', at: { type: 'boat', pointer: '/propulsion' } },
  'boat.sail': { word: 'fact.boat.sail', at: { type: 'boat', pointer: '/propulsion' } },
  'boat.manual': { word: 'fact.boat.manual', at: { type: 'boat', pointer: '/propulsion' } },
  'boat.inboard': { word: 'fact.boat.inboard', at: { type: 'boat', pointer: '/propulsion' } },
  'boat.power': { word: 'fact.boat.power', quantity: 'power', at: { type: 'boat', pointer: '/propulsion' } },
  'boat.maxSpeed': {
    word: 'fact.boat.maxSpeed',
    quantity: 'speed',
    at: { type: 'boat', pointer: '/maxSpeed' },
  },
  'boat.freeboard': {
    word: 'fact.boat.freeboard',
    quantity: 'length',
    at: { type: 'boat', pointer: '/freeboard' },
  },
  'boat.fixedTank': { word: 'fact.boat.fixedTank', at: { type: 'boat', pointer: '/fuelTank' } },
  'boat.ownTank': { word: 'fact.boat.ownTank', at: { type: 'boat', pointer: '/fuelTank' } },
  'boat.trapeze': { word: 'fact.boat.trapeze', at: { type: 'boat', pointer: '/trapeze' } },
  'boat.closedSpaces': { word: 'fact.boat.closedSpaces', at: { type: 'boat', pointer: '/closedSpaces' } },
  'boat.appliance': { word: 'fact.boat.appliance', at: { type: 'boat', pointer: '/appliance' } },
  'boat.cutOff': { word: 'fact.boat.cutOff', at: { type: 'boat', pointer: '/cutOffSwitch' } },
  'boat.sealed': { word: 'fact.boat.sealed', at: { type: 'boat', pointer: '/flotation' } },
  'boat.open': { word: 'fact.boat.open', at: { type: 'boat', pointer: '/cabin' } },
  'boat.endFlotation': { word: 'fact.boat.endFlotation', at: { type: 'boat', pointer: '/reserve' } },
  'boat.trailed': { word: 'fact.boat.trailed', at: { type: 'boat', pointer: '/trailer' } },
  'trailer.rests': { word: 'fact.trailer.rests', words: RESTS, at: { type: 'boat', pointer: '/trailer' } },
  'trailer.braked': { word: 'fact.trailer.braked', at: { type: 'boat', pointer: '/trailer' } },
  'trailer.winch': { word: 'fact.trailer.winch', words: WINCHES, at: { type: 'boat', pointer: '/trailer' } },
  'trailer.letsGo': {
    word: 'fact.trailer.letsGo',
    words: LETS_GO,
    at: { type: 'boat', pointer: '/trailer' },
  },
  'launch.from': {
    word: 'fact.launch.from',
    words: LAUNCHES,
    at: { type: 'place', pointer: '/launchFrom' },
  },
  'launch.jetty': { word: 'fact.launch.jetty', words: JETTIES, at: { type: 'place', pointer: '/jetty' } },
  'launch.surface': {
    word: 'fact.launch.surface',
    words: SURFACES,
    at: { type: 'place', pointer: '/surface' },
  },
  'crew.allWorn': { word: 'fact.crew.allWorn', at: { type: 'trip', pointer: '/crew' } },
  'crew.count': { word: 'fact.crew.count', quantity: 'count', at: { type: 'trip', pointer: '/crew' } },
  'crew.alone': { word: 'fact.crew.alone', at: { type: 'trip', pointer: '/crew' } },
  'person.age': { word: 'fact.person.age', quantity: 'age', at: { type: 'person', pointer: '/born' } },
  'person.swims': {
    word: 'fact.person.swims',
    words: SWIMMING,
    at: { type: 'person', pointer: '/swimming' },
  },
  'person.inWater': {
    word: 'fact.person.inWater',
    words: IN_WATER,
    at: { type: 'person', pointer: '/inWater' },
  },
  'person.today': { word: 'fact.person.today', words: TODAY, at: { type: 'trip', pointer: '/crew' } },
  'person.role': { word: 'fact.person.role', words: ROLES, at: { type: 'trip', pointer: '/crew' } },
  'person.skill': { word: 'fact.person.skill', words: SKILLED, at: { type: 'person', pointer: '/skills' } },
  'person.sincePractice': {
    word: 'fact.person.sincePractice',
    quantity: 'days',
    at: { type: 'person', pointer: '/skills' },
  },
  'person.weakArm': { word: 'fact.person.weakArm', at: { type: 'person', pointer: '/weakArm' } },
  'person.watched': { word: 'fact.person.watched', at: { type: 'trip', pointer: '/crew' } },
  'boat.dryEnds': { word: 'fact.boat.dryEnds', at: { type: 'boat', pointer: '/reserve' } },
  'boat.buoyant': { word: 'fact.boat.buoyant', at: { type: 'boat', pointer: '/flotation' } },
  'boat.foreHatch': { word: 'fact.boat.foreHatch', at: { type: 'boat', pointer: '/openings' } },
  'boat.foreDry': { word: 'fact.boat.foreDry', at: { type: 'boat', pointer: '/foreDry' } },
  'boat.headSea': { word: 'fact.boat.headSea', at: { type: 'boat', pointer: '/headSea' } },
  'boat.rudder': { word: 'fact.boat.rudder', at: { type: 'boat', pointer: '/rudder' } },
  'boat.rudderJams': { word: 'fact.boat.rudderJams', at: { type: 'boat', pointer: '/rudder' } },
  'boat.rudderMends': { word: 'fact.boat.rudderMends', at: { type: 'boat', pointer: '/rudder' } },
  'boat.pedals': { word: 'fact.boat.pedals', at: { type: 'boat', pointer: '/propulsion' } },
  'boat.driveOut': { word: 'fact.boat.driveOut', at: { type: 'boat', pointer: '/driveOut' } },
  'crew.sincePractice': {
    word: 'fact.crew.sincePractice',
    quantity: 'days',
    at: { type: 'trip', pointer: '/crew' },
  },
  'way.fetch': { word: 'fact.way.fetch', quantity: 'distance', at: { type: 'trip', pointer: '/halts' } },
  'way.landingSeconds': {
    word: 'fact.way.landing',
    quantity: 'duration',
    at: { type: 'boat', pointer: '/propulsion' },
  },
  'crew.secondDriver': { word: 'fact.crew.secondDriver', at: { type: 'trip', pointer: '/crew' } },
  'water.country': { word: 'fact.water.country', at: { type: 'water', pointer: '/jurisdiction' } },
  'water.class': { word: 'fact.water.class', words: WATERS, at: { type: 'trip', pointer: '/water' } },
  'water.rapids': { word: 'fact.water.rapids', at: { type: 'water', pointer: '/rapids' } },
  'water.grade': {
    word: 'fact.water.grade',
    quantity: 'count',
    at: { type: 'water', pointer: '/grade' },
  },
  'water.tidal': { word: 'fact.water.tidal', at: { type: 'trip', pointer: '/water' } },
  'trip.fishing': { word: 'fact.trip.fishing', at: { type: 'trip', pointer: '/fishing' } },
  'trip.onHatch': { word: 'fact.trip.onHatch', at: { type: 'trip', pointer: '/onHatch' } },
  'trip.company': { word: 'fact.trip.company', at: { type: 'trip', pointer: '/company' } },
  'trip.alone': { word: 'fact.trip.alone', at: { type: 'trip', pointer: '/crew' } },
  'day.wind': { word: 'fact.day.wind', quantity: 'speed', at: { type: 'trip', pointer: '/leave/date' } },
  'day.dark': { word: 'fact.day.dark', at: { type: 'trip', pointer: '/leave/time' } },
  'day.poorVisibility': { word: 'fact.day.poorVisibility', at: { type: 'trip', pointer: '/leave/date' } },
  'day.monthDay': { word: 'fact.day.monthDay', at: { type: 'trip', pointer: '/leave/date' } },
  'day.water': {
    word: 'fact.day.water',
    quantity: 'temperature',
    at: { type: 'trip', pointer: '/leave/date' },
  },
  'day.hours': { word: 'fact.day.hours', quantity: 'duration', at: { type: 'trip', pointer: '/halts' } },
  'day.furthest': {
    word: 'fact.day.furthest',
    quantity: 'distance',
    at: { type: 'trip', pointer: '/halts' },
  },
};

/** A pack's own question is a fact with this prefix; its answer lives with the water. */
export const QUESTION = 'question.';
