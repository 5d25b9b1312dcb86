import { Box, chakra } from '@chakra-ui/react';
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useEffect, useRef, useState } from 'react';
import { Link, useParams } from 'react-router';
import { answer, api, Problem, type Schemas, seen } from '../api/client';
import { Mat } from '../drawing/Mat';
import { Loaded } from '../parts/States';
import { AbsentStrip } from './AbsentStrip';
import { Footer } from './Footer';
import { absent, heaps } from './heaps';
import { MoveDialog, type Pointed } from './MoveDialog';
import { StepPanel } from './StepPanel';

type Bench = Schemas['BenchView'];
export type Press =
  | { act: 'in'; step: string; found: Schemas['TakenOff'][] }
  | { act: 'out'; step: string; settled: Schemas['ThingOut'][] }
  | { act: 'back' }
  | { act: 'close' }
  | { act: 'move'; move: Schemas['MoveSaid'] }
  | { act: 'fit'; component: number; revision: number };

function send(bench: Bench, press: Press): Promise<Bench> {
  const header = seen(bench.version);
  const job = bench.jobId;
  switch (press.act) {
    case 'in':
      return answer(
        api.POST('/api/jobs/{job}/bench/steps/{step}/in', {
          params: { path: { job, step: press.step }, header },
          body: { found: press.found },
        }),
      );
    case 'out':
      return answer(
        api.POST('/api/jobs/{job}/bench/steps/{step}/out', {
          params: { path: { job, step: press.step }, header },
          body: { settled: press.settled },
        }),
      );
    case 'back':
      return answer(api.POST('/api/jobs/{job}/bench/back', { params: { path: { job }, header } }));
    case 'close':
      return answer(api.POST('/api/jobs/{job}/bench/close', { params: { path: { job }, header } }));
    case 'fit':
      return answer(
        api.POST('/api/jobs/{job}/bench/fitted', {
          params: { path: { job }, header },
          body: { component: press.component, revision: press.revision },
        }),
      );
    case 'move':
      return answer(
        api.POST('/api/jobs/{job}/bench/moves', { params: { path: { job }, header }, body: press.move }),
      );
  }
}

/** At the elbow of someone with a driver in one hand: the step on the left, the mat on the right. */
export default function BenchPage() {
  const job = Number(useParams().job);
  const bench = useQuery({
    queryKey: ['bench', job],
    queryFn: () => answer(api.GET('/api/jobs/{job}/bench', { params: { path: { job } } })),
  });
  return (
    <Box bg="matSurface" color="bone" flex="1" display="flex" flexDirection="column" data-bench="">
      <Loaded query={bench}>{(now) => <BenchOf key={job} bench={now} />}</Loaded>
    </Box>
  );
}

/** Which way somebody is going who comes to the bench: on in, or out if there is nothing more to open. */
function firstWay(bench: Bench): 'IN' | 'OUT' {
  return bench.nextIn === undefined && bench.nextOut !== undefined ? 'OUT' : 'IN';
}

function BenchOf({ bench }: { bench: Bench }) {
  const client = useQueryClient();
  const [way, setWay] = useState<'IN' | 'OUT'>(() => firstWay(bench));
  const [pointed, setPointed] = useState<Pointed>();
  const press = useMutation({
    mutationFn: (one: Press) => send(bench, one),
    onSuccess: (now) => {
      setPointed(undefined);
      client.setQueryData(['bench', bench.jobId], now);
      client.invalidateQueries({ queryKey: ['rack'] });
      client.invalidateQueries({ queryKey: ['job', bench.jobId] });
      client.invalidateQueries({ queryKey: ['parts'] });
    },
    onError: (error) => {
      if (error instanceof Problem && error.status === 412) {
        client.invalidateQueries({ queryKey: ['bench', bench.jobId] });
      }
    },
  });
  // Everything in: the only way left is out, and the other way round.
  useEffect(() => {
    if (bench.nextIn === undefined && bench.nextOut !== undefined) {
      setWay('OUT');
    }
  }, [bench.nextIn, bench.nextOut]);
  const [instead, setInstead] = useState<string>();
  const [passed, setPassed] = useState<number[]>([]);
  const next = bench.steps.find((one) => one.id === (way === 'IN' ? bench.nextIn : bench.nextOut));
  const other = bench.steps.find((one) => one.id === instead);
  // Another of the ways that do the same, if somebody has chosen it.
  const step = way === 'IN' && other && other.insteadOf === next?.insteadOf ? other : next;
  const gone = absent(bench.steps);

  if (bench.steps.length === 0) {
    return <NoNotes bench={bench} />;
  }
  return (
    <Box
      display="grid"
      gridTemplateColumns={{ base: '1fr', lg: '500px 1fr' }}
      gridTemplateRows="1fr auto"
      flex="1"
    >
      <StepPanel
        key={`${way} ${step?.id ?? ''} ${bench.version}`}
        bench={bench}
        way={way}
        passed={passed}
        pass={(component) => setPassed([...passed, component])}
        step={step}
        turn={setWay}
        choose={setInstead}
        press={press.mutate}
        busy={press.isPending}
        error={press.error}
      />
      <MatArea>
        {(height) => (
          <>
            <Mat
              heaps={heaps(bench.steps, way === 'IN' ? step : undefined)}
              height={height - (gone.length > 0 ? 84 : 0)}
              pick={bench.opened ? (lying) => setPointed({ thing: lying.thing, from: 'TRAY' }) : undefined}
            />
            <AbsentStrip absent={gone} pick={(thing, from) => setPointed({ thing, from })} />
          </>
        )}
      </MatArea>
      <Footer bench={bench} />
      <MoveDialog
        key={pointed ? pointed.thing.id + pointed.from : 'none'}
        pointed={pointed}
        close={() => setPointed(undefined)}
        move={(move) => press.mutate({ act: 'move', move })}
        busy={press.isPending}
        error={pointed ? press.error : null}
      />
    </Box>
  );
}

/** Measures the room there is, in the mat's own pixels, so that the mat fills it. */
function MatArea({ children }: { children: (height: number) => React.ReactNode }) {
  const area = useRef<HTMLDivElement>(null);
  const [height, setHeight] = useState(650);
  useEffect(() => {
    const watched = area.current;
    if (!watched) {
      return;
    }
    const observer = new ResizeObserver(([entry]) => {
      if (entry && entry.contentRect.width > 0) {
        setHeight((entry.contentRect.height * 780) / entry.contentRect.width);
      }
    });
    observer.observe(watched);
    return () => observer.disconnect();
  }, []);
  return (
    <Box ref={area} minH={{ base: '420px', lg: 0 }} maxH={{ lg: 'calc(100vh - 128px)' }} overflow="auto">
      {children(Math.floor(height) - 2)}
    </Box>
  );
}

function NoNotes({ bench }: { bench: Bench }) {
  return (
    <Box p="40px" maxW="640px" fontSize="20px" display="grid" gap="14px">
      <chakra.h1 fontSize="28px">No notes for this one yet</chakra.h1>
      <Box>
        The bench walks through the notes of {bench.model} {bench.revision}, and keeps count of what comes
        off. Write its first step, then come back.
      </Box>
      <Link to={`/models?revision=${bench.revisionId}`}>
        <chakra.span color="brassLight" textDecoration="underline">
          Write the notes under Models
        </chakra.span>
      </Link>
    </Box>
  );
}
