import { Box, chakra } from '@chakra-ui/react';
import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { answer, api, type Schemas } from '../api/client';
import { answers } from '../api/queries';
import { useCurrency } from '../api/session';
import { useJobWrite } from '../api/useJobWrite';
import { Act } from '../parts/Buttons';
import { MoneyField } from '../parts/MoneyField';
import { Loaded, Trouble } from '../parts/States';
import { money as inMoney, minorOf } from '../typed/sum';
import { Decide } from './Decide';
import { WorthBars } from './WorthBars';

/** Of a unit to be sold: what each way leaves, what was decided, and what it fetched in the end. */
export function ToBeSold({
  job,
  notTested,
  here,
}: {
  job: Schemas['JobView'];
  /** what whoever buys it has to be told */
  notTested: string[];
  here: boolean;
}) {
  const currency = useCurrency();
  const [expected, setExpected] = useState('');
  const [fetched, setFetched] = useState('');
  const said = minorOf(expected, currency) || undefined;
  const price = minorOf(fetched, currency);
  const figures = useQuery({
    queryKey: answers.money(job.id, said),
    queryFn: () =>
      answer(
        api.GET('/api/jobs/{job}/money', { params: { path: { job: job.id }, query: { expected: said } } }),
      ),
    placeholderData: (previous) => previous,
  });
  const sell = useJobWrite(() =>
    answer(
      api.POST('/api/jobs/{job}/sale', {
        params: { path: { job: job.id } },
        body: { minor: price as number },
      }),
    ),
  );
  return (
    <Box mb="12px" role="region" aria-label="To be sold">
      <chakra.h2>To be sold: worth it?</chakra.h2>
      <Loaded query={figures}>
        {(now) => (
          <>
            {now.worth && <WorthBars worth={now.worth} paidMinor={now.paidMinor} />}
            {here && <Decide job={job.id} triage={now.triage} expectedMinor={said} />}
            {now.sale && (
              <Box>
                Sold {now.sale.worked ? 'working' : 'as it was'} for{' '}
                <b>{inMoney(now.sale.minor, currency)}</b>.
              </Box>
            )}
            <Box display="grid" gridTemplateColumns="1fr 1fr auto" gap="8px" alignItems="end" mt="4px">
              <MoneyField label="You think it fetches" compact typed={expected} type={setExpected} />
              <MoneyField label="Sold for" compact typed={fetched} type={setFetched} />
              <Act
                minH="36px"
                disabled={price === undefined || Number.isNaN(price) || sell.isPending}
                onClick={() => sell.mutate()}
              >
                It is sold
              </Act>
            </Box>
            {notTested.length > 0 && !now.sale && (
              <Box color="amberInk">Tell whoever buys it. Not tested: {notTested.join('; ')}.</Box>
            )}
            <Trouble error={sell.error} />
          </>
        )}
      </Loaded>
    </Box>
  );
}
