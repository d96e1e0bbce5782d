import type * as z from 'zod';
import { THINGS, type FieldRef } from '../src/model';

/** Is there such a field? The first part of a pointer names it; an empty pointer is the thing itself. */
export function isField({ type, pointer }: Omit<FieldRef, 'id'>): boolean {
  const [, field] = pointer.split('/');
  const shape = (THINGS[type] as unknown as { shape?: Record<string, z.ZodType> }).shape ?? {};
  return field === undefined || field in shape;
}
