import { Box, chakra } from '@chakra-ui/react';
import { useQuery } from '@tanstack/react-query';
import { answer, api, type Schemas } from '../api/client';
import { floor } from '../api/enumWords';
import { answers } from '../api/queries';
import { useCurrency } from '../api/session';
import { percent } from '../drawing/IntervalBar';
import { money } from '../typed/sum';

/** How a remedy held here: "14 here, none back". */
export function Lasted({ of }: { of: Schemas['RemedyHere'] }) {
  return (
    <chakra.span display="block" fontSize="sm" fontWeight={400}>
      {words(of)}
    </chakra.span>
  );
}

/** How much of each remedy holds the term that the shop stands for it, and what that costs: a line each, none where nothing is known. */
export function OverTerm({ told, bench }: { told?: Schemas['RemediesTold']; bench?: boolean }) {
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

/** What the remedies of a fault cost over the term that the shop stands for them; nothing until it is known. */
export function useOverTerm(component?: number, wrong?: string): Schemas['RemediesTold'] | undefined {
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

function words({ times, failed, cameBack, level }: Schemas['RemedyHere']): string {
  if (times === 0) {
    return 'not yet here';
  }
  return [
    `${times} ${level === 'MODEL' ? 'here' : 'on others'}`,
    failed > 0 ? `${failed} changed nothing` : '',
    cameBack > 0 ? `${cameBack} back` : failed === 0 ? 'none back' : '',
  ]
    .filter(Boolean)
    .join(', ');
}
