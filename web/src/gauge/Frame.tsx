import { Box, chakra } from '@chakra-ui/react';
import { keepPreviousData, type UseQueryResult, useQuery } from '@tanstack/react-query';
import type { ReactNode } from 'react';
import { Problem, type Schemas } from '../api/client';
import { useKeys } from '../app/keys';
import { Act } from '../parts/Buttons';
import { Trouble } from '../parts/States';

export type Judged = Schemas['RailRead']['verdict'];

/** The answer to what is typed, live: the last one stands while the next is worked out. */
export function useGauge<T>(name: string, asked: unknown, ask: () => Promise<T>): UseQueryResult<T> {
  return useQuery({
    queryKey: ['gauge', name, asked],
    queryFn: ask,
    enabled: asked !== undefined,
    placeholderData: keepPreviousData,
  });
}

/** The refusal of one field, by the name the server gives it. */
export function problemOf(query: UseQueryResult<unknown>, field: string): string | undefined {
  return query.error instanceof Problem
    ? query.error.fields.find((one) => one.field === field || one.field.endsWith(`.${field}`))?.message
    : undefined;
}

/** Fields on the left; on the right the drawing, the verdict and why. */
export function Gauge<T>({
  fields,
  query,
  ready,
  example,
  children,
}: {
  fields: ReactNode;
  query: UseQueryResult<T>;
  /** whether enough is typed */
  ready: boolean;
  /** fills in a worked example of our own */
  example: () => void;
  children: (found: T) => ReactNode;
}) {
  useKeys([{ key: 'E', label: 'Load the worked example', act: example }]);
  return (
    <Box display="grid" gridTemplateColumns={{ base: '1fr', lg: '400px 1fr' }} flex="1">
      <Box bg="card" p="10px 22px" borderRight="1px solid" borderColor="line">
        {fields}
        <Box display="flex" gap="8px" mt="10px">
          <Act keyName="E" onClick={example}>
            An example
          </Act>
          <Act onClick={() => window.print()}>Print it</Act>
        </Box>
      </Box>
      <Box p="12px 24px" aria-live="polite" aria-busy={query.isFetching}>
        {!ready && (
          <Box color="muted">
            Type what you measured: the answer is drawn as you type. E loads an example.
          </Box>
        )}
        {ready && query.isError && <Trouble error={query.error} />}
        {ready && query.data !== undefined && !query.isError && children(query.data)}
      </Box>
    </Box>
  );
}

const VERDICTS: Record<Judged, [string, string]> = {
  GOOD: ['good', 'mat'],
  BAD: ['bad', 'hazard'],
  CAN_NOT_SAY: ['cannot say', 'amberInk'],
};

export function VerdictOf({ verdict, words }: { verdict: Judged; words?: string }) {
  const [said, colour] = VERDICTS[verdict];
  return (
    <chakra.span bg={colour} color="white" fontWeight={700} borderRadius="sm" px="8px" py="2px">
      {words ?? said}
    </chakra.span>
  );
}

export function Reasons({ reasons }: { reasons: string[] }) {
  return (
    <chakra.ul pl="18px" m={0} fontSize="15px">
      {reasons.map((reason) => (
        <li key={reason}>{reason}</li>
      ))}
    </chakra.ul>
  );
}

export function Figure({ name, value }: { name: string; value: string }) {
  return (
    <Box mb="8px">
      <Box color="muted" fontSize="14px">
        {name}
      </Box>
      <Box fontFamily="mono" fontWeight={600} fontSize="22px">
        {value}
      </Box>
    </Box>
  );
}
