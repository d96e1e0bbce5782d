/** The answer that a trip opens with. It is no permission: it says what stands against going, or that nothing known does. */
export const ANSWER_WORDS = {
  'answer.stop': 'Not like this. {title}.',
  'answer.fix': 'Not yet. {title}.',
  'answer.open': 'Not settled. {title}.',
  'answer.clear': 'Nothing known stops you.',
  'answer.clear.home': 'Nothing known stops you. Home {home:clock}; forecast {age:span} old.',
  'answer.clear.light':
    'Nothing known stops you. Home {home:clock} with {light:span} of light; forecast {age:span} old.',
  'answer.best': 'Best from {from:clock} to {until:clock}.',
} as const;
