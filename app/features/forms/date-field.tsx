import { useController } from 'react-hook-form';
import { Moment } from '../../ui/moment';
import { fieldId } from '../../data/where';
import { Fault, pointerOf, type Inner } from './parts';

/** A day or a time, as the browser takes it: typed or picked, never a day that does not exist. */
export function DateField({ name, shape, label, onLeft }: Inner) {
  const { field } = useController({ name });
  return (
    <>
      <Moment
        kind={shape.meta.picks === 'time' ? 'time' : 'date'}
        label={label}
        id={fieldId(pointerOf(name))}
        value={typeof field.value === 'string' ? field.value : ''}
        onChange={(text) => field.onChange(text === '' && shape.optional ? undefined : text)}
        onLeave={() => void onLeft(name)}
      />
      <Fault name={name} label={label} />
    </>
  );
}
