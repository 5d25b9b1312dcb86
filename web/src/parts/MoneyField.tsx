import { Box } from '@chakra-ui/react';
import { type ComponentProps, useState } from 'react';
import { useCurrency } from '../api/session';
import { money, plainSum, readSum } from '../typed/sum';
import { Chip } from './Buttons';
import { Text } from './Fields';

type Look = Pick<ComponentProps<typeof Text>, 'label' | 'compact' | 'onKeyDown'>;

/** A sum as it is typed. What was taken stands below; what can be read in two ways is asked; what cannot be read is said. */
export function MoneyField({
  typed,
  type,
  ...look
}: Look & { typed: string; type: (typed: string) => void }) {
  const currency = useCurrency();
  const sum = typed.trim() ? readSum(typed, currency) : undefined;
  return (
    <Box minW={0}>
      <Text
        inputMode="decimal"
        value={typed}
        onChange={(event) => type(event.target.value)}
        problem={sum && 'problem' in sum ? sum.problem : undefined}
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

/** As {@link MoneyField}, for a form that keeps the sum: NaN while it cannot be read or is not decided, which no form may send. */
export function SumField({ minor, set, ...look }: Look & { minor: number; set: (minor: number) => void }) {
  const currency = useCurrency();
  const [typed, setTyped] = useState(() => plainSum(minor, currency));
  return (
    <MoneyField
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
