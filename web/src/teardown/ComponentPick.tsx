import type { Schemas } from '../api/client';
import { Pick } from '../parts/Fields';

/** One of the model's components. */
export function ComponentPick({
  label,
  sheet,
  value,
  set,
}: {
  label: string;
  sheet: Schemas['ModelSheet'];
  value: number;
  set: (component: number) => void;
}) {
  return (
    <Pick label={label} compact value={value} onChange={(event) => set(Number(event.target.value))}>
      {sheet.components.map((one) => (
        <option key={one.id} value={one.id}>
          {one.name}
        </option>
      ))}
    </Pick>
  );
}
