/** Paper is white and ink is black, whatever the screen looks like. */
export const SHEET = {
  flex: 1,
  overflow: 'auto',
  background: '#FFFFFF',
  color: '#000000',
  padding: 24,
  fontFamily: 'Atkinson, system-ui, sans-serif',
  fontSize: 15,
  lineHeight: 1.4,
} as const;
