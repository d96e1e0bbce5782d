import { placed, type Wanted } from './names';

const VIEW = { left: 0, top: 0, right: 390, bottom: 400 };
const at = (id: string, x: number, y: number, text = 'Gannow ramp'): Wanted => ({ id, text, x, y });
const boxOf = ({ x, y, dx, dy, text }: ReturnType<typeof placed>[number]) => ({
  left: x + dx,
  top: y + dy,
  right: x + dx + text.length * 7.4,
  bottom: y + dy + 18,
});

test('a name stands to the right of its mark, or where there is room', () => {
  const [right] = placed([at('a', 100, 100)], VIEW);
  expect(right.dx).toBeGreaterThan(0);
  const [left] = placed([at('a', 370, 100)], VIEW);
  expect(left.dx).toBeLessThan(0);
});
test('no name lies over another, nor beyond the edge, however close the marks are', () => {
  const wanted = Array.from({ length: 40 }, (_, i) =>
    at(String(i), 20 + ((i * 97) % 350), 20 + ((i * 61) % 360)),
  );
  const boxes = placed(wanted, VIEW).map(boxOf);
  expect(boxes.length).toBeGreaterThan(5);
  boxes.forEach((a, i) => {
    expect(a.left).toBeGreaterThanOrEqual(0);
    expect(a.right).toBeLessThanOrEqual(390);
    for (const b of boxes.slice(i + 1))
      expect(a.left < b.right && b.left < a.right && a.top < b.bottom && b.top < a.bottom).toBe(false);
  });
});
test('those that come first have the room; what is short is said where all of it finds none', () => {
  const narrow = { left: 0, top: 0, right: 70, bottom: 400 };
  expect(placed([{ ...at('a', 20, 100), short: '06:20' }], narrow).map(({ text }) => text)).toEqual([
    '06:20',
  ]);
  expect(placed([at('a', 20, 100)], narrow)).toEqual([]);
});
