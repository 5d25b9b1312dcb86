import { Box, chakra } from '@chakra-ui/react';
import { useQuery } from '@tanstack/react-query';
import { useEffect, useState } from 'react';
import { useLocation, useNavigate, useParams } from 'react-router';
import { answer, api, type Schemas } from '../api/client';
import { answers } from '../api/queries';
import { useJobWrite } from '../api/useJobWrite';
import { day } from '../api/words';
import { useKeys } from '../app/keys';
import { useTitle } from '../app/useTitle';
import { Act } from '../parts/Buttons';
import { Caution, Loaded, Trouble } from '../parts/States';
import { Tag } from '../parts/Tag';
import { CameBack } from './CameBack';
import { CheckForm } from './CheckForm';
import { CorrectArrival } from './CorrectArrival';
import type { Doing } from './doing';
import { ElectricalForm } from './ElectricalForm';
import { EventForm, LaterForm } from './EventForm';
import { Facts } from './Facts';
import { FindingForm } from './FindingForm';
import { FindingHere } from './FindingHere';
import { HandoverForm } from './HandoverForm';
import { HoldForm } from './HoldForm';
import { LoanForm } from './LoanForm';
import { OutcomeForm } from './OutcomeForm';
import { OwnerWays } from './OwnerWays';
import { Story } from './Story';

export default function JobPage() {
  const job = Number(useParams().job);
  const sheet = useQuery({
    queryKey: answers.job(job),
    queryFn: () => answer(api.GET('/api/jobs/{job}', { params: { path: { job } } })),
    refetchInterval: 15_000,
  });
  return <Loaded query={sheet}>{(now) => <Sheet key={job} sheet={now} />}</Loaded>;
}

function stageNow(sheet: Schemas['JobSheet']): Schemas['Check']['stage'] {
  if (!sheet.closed) {
    return 'BEFORE_CLOSING';
  }
  return sheet.job.openedWith ? 'AFTER_CLOSING' : 'ARRIVAL';
}

function Sheet({ sheet }: { sheet: Schemas['JobSheet'] }) {
  const { job } = sheet;
  useTitle(`${job.unit.tag}, job sheet`);
  const navigate = useNavigate();
  const [doing, setDoing] = useState<Doing>({ what: 'nothing' });
  const done = () => setDoing({ what: 'nothing' });
  const { hash } = useLocation();
  useEffect(() => {
    if (hash) {
      document.getElementById(hash.slice(1))?.scrollIntoView({ block: 'center' });
    }
  }, [hash]);
  const unprinted = useLocation().state?.unprinted === true;
  const handOver = useJobWrite(() =>
    answer(
      api.POST('/api/jobs/{job}/handover', { params: { path: { job: job.id } }, body: { belongings: [] } }),
    ),
  );
  // What came with it is asked for one by one; without anything it goes at once.
  const leave = () => (sheet.belongings.length > 0 ? setDoing({ what: 'handover' }) : handOver.mutate());
  const gone = job.handedOverAt !== undefined;
  const lent = sheet.status.standing === 'ON_LOAN';
  const away = gone || lent;
  useKeys([
    { key: 'B', label: 'To the bench', act: () => navigate(`/bench/${job.id}`), off: gone },
    { key: 'N', label: 'Enter a finding', act: () => setDoing({ what: 'finding' }), off: away },
    { key: 'K', label: 'Enter a check', act: () => setDoing({ what: 'check' }), off: away },
    { key: 'O', label: 'Say how it ended', act: () => setDoing({ what: 'outcome' }), off: away },
    { key: 'W', label: 'Let it wait', act: () => setDoing({ what: 'hold' }), off: gone },
    { key: 'H', label: 'Hand over', act: leave, off: away },
    {
      key: 'L',
      label: 'Out on loan',
      act: () => setDoing({ what: 'loan' }),
      off: away || !job.brought.owner,
    },
    { key: 'E', label: 'Electrical check', act: () => setDoing({ what: 'electrical' }), off: away },
    {
      key: 'A',
      label: 'Found inside, altered, decided, observed',
      act: () => setDoing({ what: 'event' }),
      off: away,
    },
    { key: 'Y', label: 'Heard later', act: () => setDoing({ what: 'later' }), off: !gone },
    { key: 'D', label: 'Measure', act: () => navigate(`/gauges?job=${job.id}`), off: away },
  ]);
  return (
    <Box display="grid" gridTemplateColumns={{ base: '1fr', lg: '620px 1fr' }} flex="1">
      <Box
        bg="card"
        p="14px 22px"
        borderRight="1px solid"
        borderColor="line"
        overflowY="auto"
        maxH={{ lg: 'calc(100vh - 48px)' }}
      >
        <Box display="flex" gap="14px" alignItems="center">
          <Tag text={job.unit.tag} size={22} flag={lent ? 'on loan' : sheet.forNow ? 'for now' : undefined} />
          <Box minW={0}>
            <chakra.h1>
              {job.unit.model} {job.unit.revision}
            </chakra.h1>
            <Box color="muted">
              {job.brought.owner
                ? job.brought.owner.name
                : job.brought.ownership === 'OWN'
                  ? 'our own'
                  : 'to be sold'}
              {job.brought.owner && job.brought.ownership === 'RESALE' && ', sold for them'}
              {sheet.rework > 0 && ` · opened again ${sheet.rework === 1 ? 'once' : `${sheet.rework} times`}`}
            </Box>
            {job.brought.owner && <OwnerWays owner={job.brought.owner} />}
          </Box>
        </Box>
        <Standing sheet={sheet} />
        {sheet.hazards.map((words) => (
          <Box key={words} mt="6px">
            <Caution>{words}</Caution>
          </Box>
        ))}
        {unprinted && (
          <Box role="alert" color="hazard" mt="6px">
            It is taken in, but its slip and tag did not print. Print them from At the counter, on the right.
          </Box>
        )}
        {gone ? (
          <Box color="muted" py="8px">
            This stay is over, and its record stands as it is. If the unit comes back, check it in by its tag.
            <Box mt="6px">
              <Act keyName="Y" onClick={() => setDoing({ what: 'later' })}>
                Heard later
              </Act>
            </Box>
          </Box>
        ) : lent ? (
          <Box display="grid" gridTemplateColumns="2fr 1fr" gap="8px" my="10px" alignItems="start">
            <Box display="grid">
              <CameBack job={job.id} look="main" />
            </Box>
            <Act minH="56px" keyName="W" onClick={() => setDoing({ what: 'hold' })}>
              Let it wait
            </Act>
          </Box>
        ) : (
          <Box display="grid" gridTemplateColumns="1fr 1fr 1fr" gap="8px" my="10px">
            <Act look="main" keyName="B" onClick={() => navigate(`/bench/${job.id}`)}>
              To the bench
            </Act>
            <Act keyName="N" onClick={() => setDoing({ what: 'finding' })}>
              Finding
            </Act>
            <Act keyName="K" onClick={() => setDoing({ what: 'check' })}>
              Check
            </Act>
            <Act keyName="O" onClick={() => setDoing({ what: 'outcome' })}>
              How it ended
            </Act>
            <Act keyName="W" onClick={() => setDoing({ what: 'hold' })}>
              Let it wait
            </Act>
            <Act keyName="D" onClick={() => navigate(`/gauges?job=${job.id}`)}>
              Measure
            </Act>
            <Act
              look={sheet.mains ? 'main' : 'plain'}
              keyName="E"
              onClick={() => setDoing({ what: 'electrical' })}
            >
              Electrical check
            </Act>
            <Act keyName="A" onClick={() => setDoing({ what: 'event' })}>
              Also…
            </Act>
            {job.brought.owner && (
              <Act keyName="L" onClick={() => setDoing({ what: 'loan' })}>
                Out on loan
              </Act>
            )}
            <Act
              look={sheet.inTheWay.length === 0 ? 'main' : 'plain'}
              keyName="H"
              gridColumn={job.brought.owner ? 'span 3' : undefined}
              disabled={handOver.isPending}
              onClick={leave}
            >
              Hand over
            </Act>
          </Box>
        )}
        <Trouble error={handOver.error} />
        {(!gone || doing.what === 'later') && <DoingForm sheet={sheet} doing={doing} done={done} />}
        <Story job={sheet.job.id} lines={sheet.story} longer={sheet.storyIsLonger} gone={gone} />
      </Box>
      <Box p="14px 22px" overflowY="auto" maxH={{ lg: 'calc(100vh - 48px)' }}>
        <Facts sheet={sheet} change={gone ? undefined : setDoing} />
      </Box>
    </Box>
  );
}

function Standing({ sheet }: { sheet: Schemas['JobSheet'] }) {
  const { status, job } = sheet;
  const trouble = status.standing === 'CHECK_FAILED';
  const waits = status.standing === 'WAITING' || status.standing === 'ON_LOAN';
  return (
    <Box
      mt="10px"
      borderLeft="5px solid"
      borderColor={trouble ? 'hazard' : waits ? 'amber' : 'mat'}
      bg="paper"
      px="14px"
      py="8px"
    >
      <b>{status.words}</b>
      <Box color="muted" fontSize="sm">
        {job.brought.slot ? `Slot ${job.brought.slot}` : 'Not on the rack'} · here since{' '}
        {day(job.brought.checkedInAt)}
        {job.brought.dueAt && ` · promised for ${day(job.brought.dueAt)}`}
        {job.loan &&
          !job.loan.back &&
          ` · out since ${day(job.loan.from)}${job.loan.due ? `, back by ${day(job.loan.due)}` : ''}`}
        {job.handedOverAt && ` · left ${day(job.handedOverAt)}`}
      </Box>
      {sheet.notTested.length > 0 && (
        <Box fontSize="sm" mt="4px" color="amberInk">
          Not tested: {sheet.notTested.join('; ')}.
        </Box>
      )}
      {!job.handedOverAt && status.standing !== 'ON_LOAN' && sheet.inTheWay.length > 0 && (
        <Box fontSize="sm" mt="4px">
          Before it can go: {sheet.inTheWay.join(' ')}
        </Box>
      )}
    </Box>
  );
}

function DoingForm({ sheet, doing, done }: { sheet: Schemas['JobSheet']; doing: Doing; done: () => void }) {
  if (doing.what === 'nothing') {
    return null;
  }
  const job = sheet.job.id;
  return (
    <Box border="2px solid" borderColor="mat" borderRadius="sm" p="12px" mb="10px" bg="paper">
      {doing.what === 'finding' && !doing.corrects && (
        <FindingHere job={job} modelId={sheet.job.unit.modelId} done={done} />
      )}
      {doing.what === 'finding' && doing.corrects && (
        <FindingForm
          key={doing.corrects.id}
          job={job}
          modelId={sheet.job.unit.modelId}
          corrects={doing.corrects}
          done={done}
        />
      )}
      {doing.what === 'check' && (
        <CheckForm
          key={doing.corrects?.id ?? 'new'}
          job={job}
          stage={stageNow(sheet)}
          corrects={doing.corrects}
          done={done}
        />
      )}
      {doing.what === 'outcome' && <OutcomeForm job={job} done={done} />}
      {doing.what === 'hold' && <HoldForm job={job} model={sheet.job.unit.modelId} done={done} />}
      {doing.what === 'loan' && <LoanForm sheet={sheet} done={done} />}
      {doing.what === 'electrical' && <ElectricalForm sheet={sheet} done={done} />}
      {doing.what === 'handover' && <HandoverForm sheet={sheet} done={done} />}
      {doing.what === 'event' && <EventForm job={job} done={done} />}
      {doing.what === 'later' && <LaterForm sheet={sheet} done={done} />}
      {doing.what === 'arrival' && <CorrectArrival sheet={sheet} done={done} />}
    </Box>
  );
}
