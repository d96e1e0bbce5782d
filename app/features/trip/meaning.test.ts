import { meaningsIn } from './meaning';

test('terms of a sentence mean something, in the order in which they stand; plain words nothing', () => {
  expect(meaningsIn('At the lowest point 12 cm of freeboard; 3° down by the stern.')).toEqual([
    'Freeboard: the height of her edge over the water.',
    'Bow and stern: her front and her back.',
  ]);
  expect(meaningsIn('No weight for Lena. See the list.')).toEqual([]);
  expect(meaningsIn('Swamped, her transom, her freeboard and her trim.')).toHaveLength(3);
});
