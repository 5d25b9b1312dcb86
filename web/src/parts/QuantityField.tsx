import { type ComponentProps, useState } from 'react';
import { short } from '../drawing/short';
import { readQuantity } from '../typed/quantity';
import { Text } from './Fields';

type Look = Pick<ComponentProps<typeof Text>, 'label' | 'compact' | 'hint'>;

/** A quantity as it is typed, in the unit that is asked for: NaN while it cannot be read, which no form may send. */
export function QuantityField({
  value,
  unit,
  set,
  hint,
  ...look
}: Look & { value: number; unit: string; set: (value: number) => void }) {
  const [typed, setTyped] = useState(() => (Number.isNaN(value) ? '' : String(value)));
  const read = readQuantity(typed, unit);
  return (
    <Text
      inputMode="decimal"
      value={typed}
      problem={typed.trim() !== '' && 'problem' in read ? read.problem : undefined}
      hint={typed.trim() !== '' && 'read' in read ? `${short(read.read, 5)} ${unit}` : (hint ?? unit)}
      onChange={(event) => {
        const now = readQuantity(event.target.value, unit);
        setTyped(event.target.value);
        set('read' in now ? now.read : Number.NaN);
      }}
      {...look}
    />
  );
}
