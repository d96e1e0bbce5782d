// What drills, learnt values and the proven envelope are told in.
export const LOGBOOK_WORDS = {
  'drill.never.title': 'Never practised, as far as it was noted',
  'drill.stale.title': 'Practised too long ago',
  'drill.failed.title': 'It did not work the last time',
  'drill.fresh.title': 'Practised',
  'drill.fresh': 'What this boat and crew need for getting back was practised lately.',
  'drill.never': '{what}: {who:list}, never noted.',
  'drill.stale': '{what}: {who:list}, last on {on:date}; it goes stale after {months:count} months.',
  'drill.failed': '{what}: {who:list}, tried on {on:date}, and it did not work.',
  'drill.mend': 'Note a drill',
} as const;
