import { lazy, Suspense } from 'react';
import { View } from 'react-native';
import { HelperText, TextInput } from 'react-native-paper';
import { useController } from 'react-hook-form';
import { TOUCH } from '../../ui/tokens';
import { fieldId } from '../../data/where';
import type { FieldProps } from './field';
import type { Shape } from './schema';

/** The calendar is a part of its own: most visits never open it. */
const Calendar = lazy(() => import('./calendar'));

/** A day or a time: typed, or picked from a calendar or a clock. */
export function DateField({ name, shape, label, onLeft }: FieldProps & { shape: Shape; label: string }) {
  const { field, fieldState } = useController({ name });
  const time = shape.meta.picks === 'time';
  const value = typeof field.value === 'string' ? field.value : '';
  const put = (next: string) => {
    field.onChange(next === '' && shape.optional ? undefined : next);
    void onLeft(name);
  };
  return (
    <>
      <View style={{ flexDirection: 'row', gap: 8, alignItems: 'center' }}>
        <TextInput
          mode="outlined"
          dense
          accessibilityLabel={label}
          id={fieldId(`/${name.replaceAll('.', '/')}`)}
          placeholder={time ? '06:10' : '2026-05-12'}
          error={fieldState.error !== undefined}
          value={value}
          onChangeText={(text) => field.onChange(text === '' && shape.optional ? undefined : text)}
          onBlur={() => {
            field.onBlur();
            void onLeft(name);
          }}
          style={{ minHeight: TOUCH, width: 150 }}
        />
        <Suspense fallback={null}>
          <Calendar label={label} time={time} value={value} onPick={put} />
        </Suspense>
      </View>
      {fieldState.error?.message ? (
        <HelperText type="error" role="alert" visible style={{ fontSize: 14, paddingHorizontal: 0 }}>
          {fieldState.error.message}
        </HelperText>
      ) : null}
    </>
  );
}
