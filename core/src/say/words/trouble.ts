/** What is said when something goes wrong: of righting her, of here and now, and from symptom to cause. */
export const TROUBLE_WORDS = {
  'recover.no.title': 'Nobody of this crew can right her',
  'recover.alone.title': 'Not everybody here can right her alone',
  'recover.may.title': 'Whether this crew can right her is open',
  'recover.unknown.title': 'Whether this crew can right her is not known',
  'recover.why':
    'Turning her asks for {from:moment} to {until:moment}; {who:list} give {least:moment} to {most:moment}.',
  'recover.estimate': 'Our own estimate: nobody publishes such numbers.',
  'recover.mend': 'See what would change it',
} as const;
