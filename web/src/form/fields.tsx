import { Box } from '@chakra-ui/react';
import { type ComponentProps, type JSXElementConstructor, useState } from 'react';
import { type FieldValues, get, type Path, type PathValue } from 'react-hook-form';
import { useCurrency } from '../api/session';
import { short } from '../drawing/short';
import { Chip } from '../parts/Buttons';
import { Choice } from '../parts/Choice';
import { Pick, Text, Words } from '../parts/Fields';
import { readQuantity } from '../typed/quantity';
import { money, plainSum, readSum } from '../typed/sum';
import type { Fields } from './useSending';

/** Of which form a field is, and which of its fields. */
type Bound<In extends FieldValues> = { of: Fields<In>; at: Path<In> };
// biome-ignore lint/suspicious/noExplicitAny: of whatever component
type Own<C extends JSXElementConstructor<any>> = Omit<ComponentProps<C>, 'value' | 'onChange' | 'problem'>;

function bind<In extends FieldValues>({ of, at }: Bound<In>) {
  return {
    value: get(of.value, at) as unknown,
    put: (value: unknown) => of.put(at, value as PathValue<In, Path<In>>),
    problem: of.problem(at),
  };
}

export function TextIn<In extends FieldValues>({ of, at, ...look }: Bound<In> & Own<typeof Text>) {
  const { value, put, problem } = bind({ of, at });
  return (
    <Text
      {...look}
      value={String(value ?? '')}
      problem={problem}
      onChange={(event) => put(event.target.value)}
    />
  );
}

export function WordsIn<In extends FieldValues>({ of, at, ...look }: Bound<In> & Own<typeof Words>) {
  const { value, put, problem } = bind({ of, at });
  return (
    <Words
      {...look}
      value={String(value ?? '')}
      problem={problem}
      onChange={(event) => put(event.target.value)}
    />
  );
}

/** One of a list; undefined while nothing is picked. With `number` what is picked is the number of a thing. */
export function PickIn<In extends FieldValues>({
  of,
  at,
  number,
  ...look
}: Bound<In> & Own<typeof Pick> & { number?: boolean }) {
  const { value, put, problem } = bind({ of, at });
  return (
    <Pick
      {...look}
      value={String(value ?? '')}
      problem={problem}
      onChange={({ target }) =>
        put(target.value === '' ? undefined : number ? Number(target.value) : target.value)
      }
    />
  );
}

/** A whole number, stepped or typed. */
export function CountIn<In extends FieldValues>({ of, at, ...look }: Bound<In> & Own<typeof Text>) {
  const { value, put, problem } = bind({ of, at });
  return (
    <Text
      {...look}
      type="number"
      inputMode="numeric"
      value={Number.isNaN(value) ? '' : String(value ?? '')}
      problem={problem}
      onChange={(event) => put(event.target.value === '' ? Number.NaN : Number(event.target.value))}
    />
  );
}

/** One of a few words. */
export function ChoiceIn<In extends FieldValues, T extends string>({
  of,
  at,
  ...look
}: Bound<In> & Omit<ComponentProps<typeof Choice<T>>, 'picked' | 'pick'>) {
  const { value, put, problem } = bind({ of, at });
  return (
    <Box>
      <Choice {...look} picked={value as T | undefined} pick={put} />
      {problem && (
        <Box fontSize="sm" color="hazard" role="alert">
          {problem}
        </Box>
      )}
    </Box>
  );
}

type Typed = Pick<ComponentProps<typeof Text>, 'label' | 'compact' | 'onKeyDown' | 'disabled'>;

/** A sum as it is typed. What was taken stands below; what can be read in two ways is asked; what cannot be read is said. */
export function SumIn<In extends FieldValues>({ of, at, ...look }: Bound<In> & Typed) {
  const { value, put, problem } = bind({ of, at });
  return <SumTyped {...look} typed={String(value ?? '')} type={put} problem={problem} />;
}

/** As {@link SumIn}, where what is typed is part of a question and not sent. */
export function SumTyped({
  typed,
  type,
  problem,
  ...look
}: Typed & { typed: string; type: (typed: string) => void; problem?: string }) {
  const currency = useCurrency();
  const sum = typed.trim() ? readSum(typed, currency) : undefined;
  return (
    <Box minW={0}>
      <Text
        inputMode="decimal"
        value={typed}
        onChange={(event) => type(event.target.value)}
        problem={sum && 'problem' in sum ? sum.problem : sum && 'ask' in sum ? undefined : problem}
        hint={sum && 'read' in sum ? money(sum.read, currency) : undefined}
        {...look}
      />
      {sum && 'ask' in sum && (
        <Box role="group" aria-label={`${look.label}: which?`} mt="3px" fontSize="xs">
          Which is meant?
          <Box display="flex" gap="4px" flexWrap="wrap">
            {sum.ask.map((minor) => (
              <Chip
                key={minor}
                on={false}
                px="7px"
                fontSize="sm"
                onClick={() => type(plainSum(minor, currency))}
              >
                {money(minor, currency)}
              </Chip>
            ))}
          </Box>
        </Box>
      )}
    </Box>
  );
}

/** As {@link SumIn}, where the sum itself is kept: NaN while it cannot be read or is not decided. */
export function SumKept({ minor, set, ...look }: Typed & { minor: number; set: (minor: number) => void }) {
  const currency = useCurrency();
  const [typed, setTyped] = useState(() => plainSum(minor, currency));
  return (
    <SumTyped
      typed={typed}
      type={(now) => {
        const sum = now.trim() ? readSum(now, currency) : { read: 0 };
        setTyped(now);
        set('read' in sum ? sum.read : Number.NaN);
      }}
      {...look}
    />
  );
}

/** A quantity as it is typed, in the unit that is asked for, with what was read of it below. */
export function QuantityIn<In extends FieldValues>({
  of,
  at,
  unit,
  hint,
  ...look
}: Bound<In> & Typed & { unit: string; hint?: string }) {
  const { value, put, problem } = bind({ of, at });
  const typed = String(value ?? '');
  const read = typed.trim() === '' ? undefined : readQuantity(typed, unit);
  return (
    <Text
      inputMode="decimal"
      {...look}
      value={typed}
      problem={read && 'problem' in read ? read.problem : problem}
      hint={read && 'read' in read ? `${short(read.read, 5)} ${unit}` : (hint ?? unit)}
      onChange={(event) => put(event.target.value)}
    />
  );
}
