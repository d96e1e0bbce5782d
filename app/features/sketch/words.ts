// What stands on and under the sketch of a water.
export const SKETCH = {
  beside: '{name} {said}',
  lead: 'Sketch of the way: {places}',
  scale: '{far:distance}',
  note: 'A sketch, north up. Not for navigation.',
  from: 'Shore and depths: {source}.',
} as const;
