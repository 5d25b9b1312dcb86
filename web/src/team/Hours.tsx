import { Box, chakra } from '@chakra-ui/react';
import type { Schemas } from '../api/client';
import { Chip } from '../parts/Buttons';
import { bareField } from '../parts/Fields';

type Open = Schemas['OpeningHours'];
const DAYS = ['MONDAY', 'TUESDAY', 'WEDNESDAY', 'THURSDAY', 'FRIDAY', 'SATURDAY', 'SUNDAY'] as const;
const USUAL = { from: '09:00', to: '18:00' };

/** When the shop is open, a line a weekday. A promise for a day ends when the shop closes on it. */
export function Hours({ open, set }: { open: Open; set: (open: Open) => void }) {
  const { days } = open;
  const change = (day: string, span?: Schemas['Span']) => {
    const { [day]: _gone, ...others } = days;
    set({ days: span ? { ...others, [day]: span } : others });
  };
  return (
    <Box display="grid" gap="3px">
      {DAYS.map((day) => {
        const span = days[day];
        const name = day.charAt(0) + day.slice(1).toLowerCase();
        return (
          <Box key={day} display="grid" gridTemplateColumns="120px 1fr" gap="8px" alignItems="center">
            <Chip
              on={span !== undefined}
              minH="32px"
              py="1px"
              onClick={() => change(day, span ? undefined : USUAL)}
            >
              {name}
            </Chip>
            {span ? (
              <Box display="flex" gap="6px" alignItems="center">
                <Time
                  label={`${name} from`}
                  value={span.from}
                  set={(from) => change(day, { ...span, from })}
                />
                to
                <Time label={`${name} to`} value={span.to} set={(to) => change(day, { ...span, to })} />
              </Box>
            ) : (
              <Box color="muted">closed</Box>
            )}
          </Box>
        );
      })}
    </Box>
  );
}

function Time({ label, value, set }: { label: string; value: string; set: (value: string) => void }) {
  return (
    <chakra.input
      type="time"
      required
      aria-label={label}
      {...bareField}
      minH="32px"
      value={value.slice(0, 5)}
      onChange={(event) => event.target.value && set(event.target.value)}
    />
  );
}
