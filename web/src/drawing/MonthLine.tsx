import { Box, chakra } from '@chakra-ui/react';
import { day } from '../api/shopWide';
import { colours } from '../theme';

const [WIDE, HIGH] = [92, 22];

/** How many jobs had it, month by month; the last one is at the right. */
export function MonthLine({ months, rising }: { months: number[]; rising: boolean }) {
  const most = Math.max(1, ...months);
  const step = WIDE / Math.max(1, months.length);
  return (
    <svg viewBox={`0 0 ${WIDE} ${HIGH}`} width={WIDE} height={HIGH} role="img" aria-label={months.join(', ')}>
      {months.map((count, n) => (
        <rect
          key={n}
          x={n * step + 0.5}
          y={HIGH - 2 - ((HIGH - 4) * count) / most}
          width={Math.max(1, step - 1)}
          height={((HIGH - 4) * count) / most + 1}
          fill={rising && n >= months.length - 3 ? colours.hazard : colours.mat}
        />
      ))}
    </svg>
  );
}

const [BARS_WIDE, BARS_HIGH] = [520, 64];

/** The same, large: a month that is picked shows its jobs. */
export function MonthBars({
  months,
  rising,
  starts,
  picked,
  pick,
}: {
  months: number[];
  rising: boolean;
  starts: string[];
  picked?: number;
  pick: (month?: number) => void;
}) {
  const most = Math.max(1, ...months);
  return (
    <Box display="flex" alignItems="end" gap="2px" h={`${BARS_HIGH}px`} maxW={`${BARS_WIDE}px`} mb="4px">
      {months.map((count, n) => (
        <chakra.button
          key={n}
          type="button"
          flex="1"
          minW="2px"
          h="100%"
          display="flex"
          alignItems="end"
          cursor={count > 0 ? 'pointer' : 'default'}
          disabled={count === 0}
          aria-pressed={picked === n}
          aria-label={`${monthName(starts[n])}: ${count}`}
          title={`${monthName(starts[n])}: ${count}`}
          bg={picked === n ? 'card' : undefined}
          onClick={() => pick(picked === n ? undefined : n)}
        >
          <Box
            w="100%"
            h={`${2 + ((BARS_HIGH - 4) * count) / most}px`}
            bg={rising && n >= months.length - 3 ? 'hazard' : 'mat'}
            opacity={picked === undefined || picked === n ? 1 : 0.45}
          />
        </chakra.button>
      ))}
    </Box>
  );
}

/** Months begin on the day of today. */
function monthName(start?: string): string {
  return start ? `from ${day(start)}` : '';
}
