import { useState } from 'react';
import { View } from 'react-native';
import type { Figure } from '@escale/core/model';
import { clock, dayOf, render, type Reader, type WordKey, phraseOf } from '@escale/core/say';
import { sourceOf } from '@escale/core/sources';
import { figuresNamed } from '@escale/core/verdict';
import { format, fromSI, spanText, unitOf } from '@escale/core/units';
import { T } from '../../ui/text';
import { usePalette } from '../../ui/theme';
import { MEANING } from './meaning';
import { useTrip } from './use-trip';
import { Press } from '../../ui/press';
import { FIGURE } from './words';
import { plainly } from '../../data/settings';

type Value = Pick<Figure, 'value' | 'quantity'>;

/** A figure's number and its unit apart, so that the number can be large. */
export function figureParts({ value, quantity }: Value, reader: Reader): { number: string; unit: string } {
  if (quantity === 'instant') return { number: clock(value, reader), unit: '' };
  if (quantity === 'duration') return { number: `${value < 0 ? '−' : ''}${spanText(value)}`, unit: '' };
  const unit = unitOf(quantity, reader.units);
  return { number: fromSI(value, unit).toFixed(unit.digits), unit: unit.symbol };
}

const say = (value: Value, reader: Reader) =>
  value.quantity === 'instant'
    ? `${dayOf(value.value, reader)} ${clock(value.value, reader)}`
    : value.quantity === 'duration'
      ? spanText(value.value)
      : format(value.value, value.quantity, reader.units);
const word = (key: string, reader: Reader) => render(phraseOf(key as WordKey), reader);

/** A computed number that opens: what went in, the formula in words, the source, the range. */
export function FigureView({ figure, small }: { figure: Figure; small?: boolean }) {
  const p = usePalette();
  const { reader } = useTrip();
  const [open, setOpen] = useState(false);
  const { number, unit } = figureParts(figure, reader);
  const label = word(figure.label, reader);
  const source = sourceOf(figure.source);
  return (
    <View style={{ minWidth: small ? undefined : 104 }}>
      <Press
        expanded={open}
        label={plainly(FIGURE.how, { label, value: [number, unit].filter(Boolean).join(' ') })}
        onPress={() => setOpen(!open)}
        style={{ minHeight: 48, justifyContent: 'center' }}
      >
        {small ? (
          <T>
            <T as="strong">
              {number} {unit}
            </T>{' '}
            {label}
          </T>
        ) : (
          <>
            <T as="figure">
              {number}
              <T as="soft" style={{ fontSize: 16 }}>
                {unit ? ` ${unit}` : ''}
              </T>
            </T>
            <T as="label" style={{ textDecorationLine: 'underline', textDecorationStyle: 'dotted' }}>
              {figure.guessed ? plainly(FIGURE.guess, { label }) : label}
            </T>
          </>
        )}
      </Press>
      {open ? (
        <View style={{ borderLeftWidth: 2, borderColor: p.water1, paddingLeft: 8, gap: 2, maxWidth: 340 }}>
          {MEANING[figure.label] ? <T as="strong">{MEANING[figure.label]}</T> : null}
          <T as="small">{word(figure.formula, reader)}</T>
          {Object.entries(figure.inputs).map(([input, value]) => (
            <T key={input} as="small">
              {plainly(FIGURE.input, { label: word(`input.${input}`, reader), value: say(value, reader) })}
            </T>
          ))}
          {figure.range ? (
            <T as="small">
              {plainly(FIGURE.range, {
                least: say({ value: figure.range[0], quantity: figure.quantity }, reader),
                most: say({ value: figure.range[1], quantity: figure.quantity }, reader),
              })}
            </T>
          ) : null}
          {figure.guessed ? <T as="small">Something in it is a guess.</T> : null}
          {source ? (
            <T as="small">
              {source.verified ? source.title : plainly(FIGURE.unverified, { source: source.title })}
            </T>
          ) : null}
        </View>
      ) : null}
    </View>
  );
}

/** The same number without its working: for cards that are pressed as a whole, on whatever ground they have. */
function StillFigure({ figure, ink }: { figure: Figure; ink: string | undefined }) {
  const { reader } = useTrip();
  const { number, unit } = figureParts(figure, reader);
  return (
    <View>
      <T as="figure" {...(ink ? { color: ink } : {})}>
        {number}
        <T as="soft" {...(ink ? { color: ink } : {})} style={{ fontSize: 16 }}>
          {unit ? ` ${unit}` : ''}
        </T>
      </T>
      <T as="label" {...(ink ? { color: ink } : {})}>
        {word(figure.label, reader)}
      </T>
    </View>
  );
}

/** The figures of these names (`room/name`), in their order. */
export function Figures({ names, still, ink }: { names: readonly string[]; still?: boolean; ink?: string }) {
  const { assessment } = useTrip();
  return (
    <View style={{ flexDirection: 'row', flexWrap: 'wrap', columnGap: 22, rowGap: 8 }}>
      {names.flatMap((name) =>
        figuresNamed(assessment.figures, name).map(([id, figure]) =>
          still ? (
            <StillFigure key={id} figure={figure} ink={ink} />
          ) : (
            <FigureView key={id} figure={figure} />
          ),
        ),
      )}
    </View>
  );
}
