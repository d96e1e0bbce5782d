// What a trip's own frame says with figures in it: header, verdict, sections, figures.
export const TRIP = {
  whatIf: 'What if?',
  catch: 'Catch: keep or release',
  assumed: 'Assumed: {what}',
  why: 'Why: {title}',
  row: '{level}: {title}',
  undone: 'Undo: {what}',
  alone: 'alone',
  aboard: '{n} aboard',
  mend: 'Fix: {title}',
  ready: 'Ready, {n#thing|things}',
  section: '{title}. {text}',
  sectionAt: '{title}: {level}. {text}',
  allOf: 'all of {phase}',
  forecastOld: 'forecast {age:span} old',
  forecastHours: 'forecast {hours} h old',
  leaveAt: 'leave at {time}',
  leave: 'leave {at:clock}',
  home: 'home {at:clock}',
  count: '{n} {level}',
  allReady: '{n} Ready',
  verdict: '{said} Read all of it',
  next: 'next: {what}',
  watched: 'This trip can’t be removed while its float plan is open: somebody is waiting for you.',
  watchedOut: 'Say that you are home, or that you did not go',
  removed: 'Removed {name}',
  putBack: 'Put {name} back',
  noted: 'noted {on}',
} as const;

export const FIGURE = {
  how: '{label}: {value}. How it was reckoned',
  guess: '{label} · from a guess',
  input: '{label}: {value}',
  range: 'Range {least} to {most}',
  unverified: '{source} · not verified',
} as const;

/** The same trip on another day. */
export const REPEAT = {
  button: 'Repeat',
  label: 'Repeat {title}',
  title: 'On which day?',
  follows:
    'Boat, crew, places, load and contacts come along. What was said of that one day does not: the forecast, who feels how, what each wears.',
  said: '{title} on another day',
  plan: 'Plan it',
  dayFirst: 'First choose a day.',
} as const;

/** Whose forecast all of it leans on. */
export const BY_WHOM = {
  from: 'Forecast by {source}, {at:day} {at:clock}.',
  invented: 'Invented weather, for show: it is no forecast.',
  none: 'No forecast is here.',
} as const;
