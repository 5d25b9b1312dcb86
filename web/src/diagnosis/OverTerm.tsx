import { Box } from '@chakra-ui/react';
import { useQuery } from '@tanstack/react-query';
import { answer, api, type Schemas } from '../api/client';
import { floor } from '../api/enumWords';
import { answers } from '../api/queries';
import { useCurrency } from '../api/session';
import { percent } from '../drawing/IntervalBar';
import { money } from '../typed/sum';

/** How much of each remedy holds the term that the shop stands for it, and what that costs: a line each, none where nothing is known. */
export function OverTerm({
  component,
  wrong,
  bench,
}: {
  component?: number;
  wrong?: string;
  bench?: boolean;
}) {
  const told = useTold(component, wrong);
  const currency = useCurrency();
  if (!told || told.remedies.length === 0) {
    return null;
  }
  return (
    <Box role="group" aria-label="Over the term" fontSize="sm" color={bench ? 'chalkDust' : 'muted'}>
      {told.remedies.slice(0, 3).map((one) => (
        <Box key={one.remedy}>
          <b>{floor.Remedy[one.remedy]}</b>
          {': '}
          {[
            one.lasts && !one.lasts.beyond && `${percent(one.lasts.survival)} hold ${told.termDays} days`,
            one.minutes !== undefined && `${one.minutes} min`,
            one.termMinor === undefined
              ? `${money(one.nowMinor, currency)} once`
              : `${money(one.termMinor, currency)} in all`,
            one.cheapest && 'least',
          ]
            .filter(Boolean)
            .join(', ')}
        </Box>
      ))}
    </Box>
  );
}

function useTold(component?: number, wrong?: string): Schemas['RemediesTold'] | undefined {
  return useQuery({
    queryKey: answers.patterns('remedies', component ?? 0, wrong ?? ''),
    queryFn: () =>
      answer(
        api.GET('/api/patterns/remedies', {
          params: { query: { component: component ?? 0, wrong: wrong ?? '' } },
        }),
      ),
    enabled: !!component && !!wrong,
  }).data;
}
