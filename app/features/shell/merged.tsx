import { View } from 'react-native';
import type { ZodType } from 'zod';
import { THINGS } from '@escale/core/model';
import { readMerged, useMerged, type MergedNote } from '../../data/merged';
import { plainly } from '../../data/settings';
import { Button, Row } from '../../ui/button';
import { T } from '../../ui/text';
import { shapeOf } from '../forms/schema';
import { FIELDS, SIGNAL } from './words';

/** What a field is called where it is edited. */
function called(type: MergedNote['type'], field: string): string {
  const top = field.split('/')[0];
  const shapes: Record<string, ZodType> = THINGS[type].shape;
  return FIELDS[top] ?? (shapes[top] && shapeOf(shapes[top]).meta.title) ?? top;
}

/** How a value is known changes with it, and is nothing of its own. */
const BESIDE = 'basis';

/** Two devices changed one thing, each another part of it: both stand, and whoever was away is told what came in. */
export function MergedNotes() {
  const notes = useMerged();
  if (notes.length === 0) return null;
  return (
    <View style={{ paddingHorizontal: 14, paddingVertical: 6, gap: 4 }}>
      {notes.map(({ id, type, said, by, fields }) => (
        <T key={id} as="label">
          {plainly(SIGNAL.merged, {
            what: said,
            by: by.length > 0 ? by.join(', ') : SIGNAL.another,
            fields: [
              ...new Set(fields.filter((field) => field !== BESIDE).map((field) => called(type, field))),
            ]
              .map((name) => `“${name}”`)
              .join(', '),
          })}
        </T>
      ))}
      <Row>
        <Button onPress={() => void readMerged()}>{SIGNAL.read}</Button>
      </Row>
    </View>
  );
}
