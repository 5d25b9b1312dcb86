import { chakra } from '@chakra-ui/react';
import { useQuery } from '@tanstack/react-query';
import { answer, api, type Schemas } from '../api/client';
import { answers } from '../api/queries';
import { useCurrency } from '../api/session';
import { percent } from '../drawing/IntervalBar';
import { money } from '../typed/sum';

/** How a remedy held here: "14 here, none back". */
export function Lasted({ of, told }: { of: Schemas['RemedyHere']; told?: Schemas['RemediesTold'] }) {
  const currency = useCurrency();
  const one = told?.remedies.find(({ remedy }) => remedy === of.remedy);
  return (
    <chakra.span display="block" fontSize="sm" fontWeight={400}>
      {words(of)}
      {one && (
        <chakra.span display="block">
          {[
            one.lasts && !one.lasts.beyond && `${percent(one.lasts.survival)} hold ${told?.termDays} days`,
            one.minutes !== undefined && `${one.minutes} min`,
            one.termMinor === undefined
              ? money(one.nowMinor, currency)
              : `${money(one.termMinor, currency)} over the term${one.cheapest ? ', the least' : ''}`,
          ]
            .filter(Boolean)
            .join(' · ')}
        </chakra.span>
      )}
    </chakra.span>
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
