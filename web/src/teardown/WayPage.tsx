import { Box, chakra } from '@chakra-ui/react';
import { keepPreviousData, useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { useSearchParams } from 'react-router';
import { answer, api, type Schemas } from '../api/client';
import { answers } from '../api/queries';
import { AccessMap } from '../drawing/AccessMap';
import { Loaded, Trouble } from '../parts/States';
import { InsideChoices } from './InsideChoices';
import { StepCard } from './StepCard';
import { type Offer, WayPanel } from './WayPanel';

/** How to get to a part of this model: the notes as a map, and the least way through it. */
export function WayPage({ revision }: { revision: Schemas['Revision'] }) {
  // What is asked for stands in the address, so that it can be sent to another bench.
  const [asked, ask] = useSearchParams();
  const fitted = asked.getAll('in');
  const whole = useQuery({
    queryKey: answers.whole(revision.id, fitted),
    queryFn: () =>
      answer(
        api.GET('/api/revisions/{revision}/whole', {
          params: { path: { revision: revision.id }, query: { fitted } },
        }),
      ),
    placeholderData: keepPreviousData,
  });
  function change(targets: number[], inside: string[]) {
    ask(
      new URLSearchParams([
        ...targets.map((id) => ['to', String(id)]),
        ...inside.map((variant) => ['in', variant]),
      ]),
      { replace: true },
    );
  }
  return (
    <Loaded query={whole}>
      {(now) => <WayOf notes={now} asked={asked.getAll('to').map(Number)} fitted={fitted} change={change} />}
    </Loaded>
  );
}

function WayOf({
  notes,
  asked,
  fitted,
  change,
}: {
  notes: Schemas['WholeUnit'];
  asked: number[];
  /** which variant each sub-assembly is that is gone into, as `component:revision` */
  fitted: string[];
  change: (targets: number[], fitted: string[]) => void;
}) {
  const targets = asked.filter((id) => notes.components.some((one) => one.id === id));
  const [offer, setOffer] = useState<Offer>('time');
  const [pointed, setPointed] = useState<string>();
  const access = useQuery({
    queryKey: answers.access(notes.revisionId, notes.number, targets, fitted),
    queryFn: () =>
      answer(
        api.GET('/api/revisions/{revision}/access', {
          params: { path: { revision: notes.revisionId }, query: { targets, fitted } },
        }),
      ),
    enabled: targets.length > 0,
    placeholderData: keepPreviousData,
  });
  const offers = targets.length > 0 ? access.data : undefined;
  const way = offers?.[offer] ?? offers?.time;
  const step = notes.steps.find((one) => one.id === pointed);
  function pick(component: number) {
    const next = targets.includes(component)
      ? targets.filter((one) => one !== component)
      : [...targets, component];
    change(next, fitted);
  }
  return (
    <Box display="grid" gridTemplateColumns={{ base: '1fr', lg: '1fr 372px' }} flex="1" minH={0}>
      {/* The card has its place whether or not a step is read: the map must not move under the pointer. */}
      <Box
        display="grid"
        gridTemplateRows={{ base: 'auto auto', lg: 'minmax(0, 1fr) 186px' }}
        h={{ lg: 'calc(100vh - 106px)' }}
      >
        <Box p="10px 22px" overflow="auto">
          <Box color="muted" fontSize="sm" mb="6px">
            How it comes apart, outermost on the left. Pick what you want to reach.
          </Box>
          <AccessMap
            steps={notes.steps}
            components={notes.components}
            way={way?.plan.order ?? []}
            targets={targets}
            pointed={pointed}
            point={setPointed}
            pick={pick}
          />
        </Box>
        <Box px="22px" py="8px" borderTop="1px solid" borderColor="line" overflowY="auto">
          {step ? (
            <StepCard step={step} shapes={notes.shapes} />
          ) : (
            <Box color="muted" fontSize="sm">
              Point at a step to read it: what to do, what comes off and where, and what to remember.
            </Box>
          )}
        </Box>
      </Box>
      <chakra.section
        bg="card"
        borderLeft="1px solid"
        borderColor="line"
        p="12px 20px"
        overflowY="auto"
        maxH={{ lg: 'calc(100vh - 106px)' }}
        aria-label="The way"
      >
        <Trouble error={access.error} />
        <WayPanel
          notes={notes}
          targets={targets}
          pick={pick}
          offers={access.error ? undefined : offers}
          offer={offer}
          setOffer={setOffer}
          point={setPointed}
        />
        <InsideChoices
          choices={notes.choices}
          choose={(component, variant) =>
            change(targets, [
              ...fitted.filter((one) => !one.startsWith(`${component}:`)),
              ...(variant === undefined ? [] : [`${component}:${variant}`]),
            ])
          }
        />
      </chakra.section>
    </Box>
  );
}
