// What the list of trips says with figures in it.
export const TRIPS = {
  none: 'Plan a day on the water',
  what: 'Say which boat, who goes, where and when. Escale holds it against what is asked for and what is known, says what stands against going, and keeps the hours in which somebody ashore acts.',
  begin: 'Begin with four questions',
  when: '{day:day}, {time}',
  alone: 'alone',
  aboard: '{n} aboard',
  nobody: 'nobody yet',
  open: 'float plan open: home {home:clock}',
  card: '{title}. {words}',
  cardOpen: '{title}. {words}. {state}',
  advises: 'Escale advises; it never permits.',
  invented: 'The places that come with the demo do not exist. Escale advises; it never permits.',
} as const;
