import { useQuery } from '@tanstack/react-query';
import type { FieldValues, Path } from 'react-hook-form';
import { answer, api } from '../api/client';
import { answers } from '../api/queries';
import { PickIn } from '../form/fields';
import type { Fields } from '../form/useSending';

/** One of the units on the rack that can still be worked on. */
export function UnitPick<In extends FieldValues>({
  of,
  at,
  label,
  nobody,
}: {
  of: Fields<In>;
  at: Path<In>;
  label: string;
  /** what it says while none is picked */
  nobody: string;
}) {
  const rack = useQuery({ queryKey: answers.rack(), queryFn: () => answer(api.GET('/api/rack')) });
  const rows = rack.data ? [...rack.data.next, ...rack.data.waiting] : [];
  return (
    <PickIn of={of} at={at} label={label} number>
      <option value="">{nobody}</option>
      {rows.map((row) => (
        <option key={row.jobId} value={row.jobId}>
          {row.tag} {row.model}
        </option>
      ))}
    </PickIn>
  );
}
