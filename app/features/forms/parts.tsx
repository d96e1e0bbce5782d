import { HelperText } from 'react-native-paper';
import { useFormContext, type FieldErrors } from 'react-hook-form';
import type * as z from 'zod';
import { plainly } from '../../data/settings';
import type { Shape } from './schema';
import { FORM } from './words';

/** What every part of a form needs of its field. */
export interface FieldProps {
  /** Dotted name of React Hook Form; its pointer is the same with slashes. */
  name: string;
  schema: z.ZodType;
  onLeft: (name: string) => Promise<void> | void;
  basis?: Record<string, string>;
}
export type Inner = FieldProps & { shape: Shape; label: string };

export const pointerOf = (name: string) => `/${name.replaceAll('.', '/')}`;

function useError(name: string): string | undefined {
  const {
    formState: { errors },
  } = useFormContext();
  const found = name
    .split('.')
    .reduce<unknown>((at, key) => (at as FieldErrors | undefined)?.[key], errors) as
    { message?: string; root?: { message?: string } } | undefined;
  return found?.message ?? found?.root?.message;
}

/** What is wrong with a field, beside it until it is mended. @param own said in place of the schema's words */
export function Fault({ name, label, own }: { name: string; label?: string; own?: string | undefined }) {
  const found = useError(name);
  const message =
    found === undefined
      ? undefined
      : (own ?? (label ? plainly(FORM.fault, { label, message: found }) : found));
  return message ? (
    <HelperText type="error" role="alert" visible style={{ fontSize: 14, paddingHorizontal: 0 }}>
      {message}
    </HelperText>
  ) : null;
}
