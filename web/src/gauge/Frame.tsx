import { Box, chakra } from '@chakra-ui/react';
import { keepPreviousData, type UseQueryResult, useQuery } from '@tanstack/react-query';
import { type ReactNode, useRef, useState } from 'react';
import { Problem, type Schemas } from '../api/client';
import { answers } from '../api/queries';
import { figures } from '../api/shopWide';
import { day } from '../api/words';
import { type Key, useKeys } from '../app/keys';
import { Act } from '../parts/Buttons';
import { Caution, Trouble } from '../parts/States';
import { copyWords } from './copy';
import { ExpectedHere, type Here, type Known } from './expected';
import { KeepBar, useJobInHand } from './KeepBar';
import { MeterStrip } from './MeterStrip';
import { MeterFor } from './meter';

export type Judged = Schemas['RailRead']['verdict'];

/** The answer to what is typed, live: the last one stands while the next is worked out. */
export function useGauge<T>(name: string, asked: unknown, ask: () => Promise<T>): UseQueryResult<T> {
  return useQuery({
    queryKey: answers.gauge(name, asked),
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
  name,
  asked,
  typed,
  fields,
  query,
  example,
  clear,
  toRead,
  metered = false,
  caution,
  lay,
  children,
}: {
  name: keyof Schemas['GaugeAsked'];
  /** empty while too little is typed */
  asked?: object;
  typed: object;
  fields: ReactNode;
  query: UseQueryResult<T>;
  /** fills in a worked example of our own */
  example: () => void;
  clear: () => void;
  /** lays out what the stand-in's probes can touch, still to be read */
  toRead?: () => void;
  /** whether a bench meter reads some of its fields */
  metered?: boolean;
  /** what comes before the first field, where a probe can meet what hurts */
  caution?: string;
  /** lays out what is known of the unit in hand, still to be read */
  lay?: (known: Known) => void;
  children: (found: T) => ReactNode;
}) {
  const result = useRef<HTMLDivElement>(null);
  const [copied, setCopied] = useState(false);
  const [under, setUnder] = useState<HTMLElement | null>(null);
  const [here, setHere] = useState<Here>();
  const job = useJobInHand();
  const ready = asked !== undefined;
  const copy = () =>
    result.current &&
    copyWords(result.current).then(() => {
      setCopied(true);
      setTimeout(() => setCopied(false), 2000);
    });
  const acts: Key[] = [
    { key: 'E', label: 'Example', act: example },
    ...(toRead ? [{ key: 'U', label: 'A sick unit to read', act: toRead }] : []),
    { key: 'X', label: 'Clear', act: clear },
    { key: 'C', label: copied ? 'Copied' : 'Copy', act: copy, off: !ready },
    { key: 'P', label: 'Print', act: () => window.print(), off: !ready },
  ];
  useKeys(acts);
  return (
    <MeterFor>
      <Box display="grid" gridTemplateColumns={{ base: '1fr', lg: '460px 1fr' }} flex="1">
        <Box {...half} bg="card" p="10px 22px" borderRight="1px solid" borderColor="line">
          {caution && <Caution>{caution}</Caution>}
          {metered && <MeterStrip />}
          {job !== undefined && lay && (
            <ExpectedHere
              job={job}
              gauge={name.toUpperCase() as Schemas['MeasurementRow']['gauge']}
              lay={lay}
              here={here}
              setHere={setHere}
            />
          )}
          <chakra.h1 display="none" _print={{ display: 'block' }}>
            Wrench Notes, {name}, {day(new Date().toISOString())}
          </chakra.h1>
          <Box data-fields="">{fields}</Box>
          <Box className="noprint" display="flex" gap="6px" mt="10px" flexWrap="wrap">
            {acts.map((one) => (
              <Act key={one.key} keyName={one.key} px="8px" disabled={one.off} onClick={one.act}>
                {one.label}
              </Act>
            ))}
          </Box>
          <KeepBar
            asked={asked && !query.isError ? { [name]: asked } : undefined}
            typed={typed}
            under={under}
            here={here}
          />
        </Box>
        <Box
          ref={result}
          {...half}
          p="12px 24px"
          role="region"
          aria-label="Result"
          tabIndex={0}
          aria-live="polite"
          aria-busy={query.isFetching}
        >
          {!ready && (
            <Box color="muted">
              Type what you measured: the answer is drawn as you type. E loads an example.
            </Box>
          )}
          {ready && query.isError && <Trouble error={query.error} />}
          {ready && query.data !== undefined && !query.isError && children(query.data)}
          <div ref={setUnder} />
        </Box>
      </Box>
    </MeterFor>
  );
}

/** Each half scrolls by itself, so that the drawing stays in sight; on paper nothing scrolls. */
const half = {
  overflowY: 'auto',
  maxH: { lg: 'calc(100vh - 98px)' },
  _print: { maxH: 'none' },
} as const;

const VERDICTS: Record<Judged, [string, string]> = {
  GOOD: ['good', 'mat'],
  BAD: ['bad', 'hazard'],
  CAN_NOT_SAY: ['cannot say', 'amberInk'],
};

/** What is not known has a look of its own, never that of good: an open outline, and its word. */
export function VerdictOf({ verdict, words }: { verdict: Judged; words?: string }) {
  const [said, colour] = VERDICTS[verdict];
  if (verdict === 'CAN_NOT_SAY') {
    return (
      <chakra.span
        border="2px dashed"
        borderColor={colour}
        color="ink"
        fontWeight={700}
        borderRadius="sm"
        px="6px"
        py="1px"
      >
        {words ?? said}
      </chakra.span>
    );
  }
  return (
    <chakra.span bg={colour} color="onMat" fontWeight={700} borderRadius="sm" px="8px" py="2px">
      {words ?? said}
    </chakra.span>
  );
}

export function Reasons({ reasons }: { reasons: string[] }) {
  return (
    <chakra.ul pl="18px" m={0} fontSize="sm">
      {reasons.map((reason) => (
        <li key={reason}>{figures(reason)}</li>
      ))}
    </chakra.ul>
  );
}

export function Figure({ name, value }: { name: string; value: string }) {
  return (
    <Box mb="8px">
      <Box color="muted" fontSize="sm">
        {name}
      </Box>
      <Box fontFamily="mono" fontWeight={600} fontSize="2xl">
        {value}
      </Box>
    </Box>
  );
}
