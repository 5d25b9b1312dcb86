import { Box } from '@chakra-ui/react';
import { useCallback, useEffect, useRef, useState } from 'react';
import { useParams } from 'react-router';
import type { Schemas } from '../api/client';
import { useBench } from '../api/useBench';
import { useTitle } from '../app/useTitle';
import { Mat } from '../drawing/Mat';
import { Loaded } from '../parts/States';
import { AbsentStrip } from './AbsentStrip';
import { Footer } from './Footer';
import { absent, heaps, owedAccount } from './heaps';
import { isOut } from './LeftHalf';
import { MoveDialog, type Pointed } from './MoveDialog';
import { type Bench, through } from './press';
import { Start } from './Start';
import { StepPanel } from './StepPanel';
import { Unsent } from './Unsent';
import { usePresses } from './usePresses';

/** At the elbow of someone with a driver in one hand: the step on the left, the mat on the right. */
export default function BenchPage() {
  const job = Number(useParams().job);
  const bench = useBench(job);
  return (
    <Box bg="matSurface" color="bone" flex="1" display="flex" flexDirection="column" data-bench="">
      <Loaded query={bench}>
        {(now) => <BenchOf key={`${job} ${now.run?.startedAt ?? ''}`} bench={now} />}
      </Loaded>
    </Box>
  );
}

/** Other steps that do the same, to be done instead. */
function standIns(bench: Bench, step: Schemas['StepView']) {
  return bench.way.steps.filter((one) => one.insteadOf === step.insteadOf && one.id !== step.id);
}

/** Which way somebody is going who comes to the bench: on in, or out if there is nothing more to open. */
function firstWay(bench: Bench): 'IN' | 'OUT' {
  return bench.way.nextIn === undefined && bench.way.nextOut !== undefined ? 'OUT' : 'IN';
}

/** Which way somebody is going; a tab that is loaded anew goes on the same way, as long as there is one. */
function useWay(bench: Bench): ['IN' | 'OUT', (way: 'IN' | 'OUT') => void] {
  const place = `wn.way.${bench.unit.jobId}`;
  const [way, setWay] = useState<'IN' | 'OUT'>(() =>
    sessionStorage.getItem(place) === 'OUT' && bench.way.nextOut !== undefined ? 'OUT' : firstWay(bench),
  );
  const turn = (next: 'IN' | 'OUT') => {
    sessionStorage.setItem(place, next);
    setWay(next);
  };
  return [way, turn];
}

function BenchOf({ bench: answered }: { bench: Bench }) {
  useTitle(`${answered.unit.tag}, bench`);
  const [pointed, setPointed] = useState<Pointed>();
  const done = useCallback(() => setPointed(undefined), []);
  const { shown: bench, turns, press, busy, error, ...unsent } = usePresses(answered, done);
  const [way, setWay] = useWay(bench);
  const running = bench.run !== undefined;
  const [again, setAgain] = useState(false);
  const starts = !running && !isOut(bench) && (bench.stand.lastIn === undefined || again);
  const [instead, setInstead] = useState<string>();
  const [passed, setPassed] = useState<number[]>([]);
  const next = bench.way.steps.find(
    (one) => one.id === (way === 'IN' ? bench.way.nextIn : bench.way.nextOut),
  );
  const other = bench.way.steps.find((one) => one.id === instead);
  // Another of the ways that do the same, if somebody has chosen it.
  const step = way === 'IN' && other && other.insteadOf === next?.insteadOf ? other : next;
  const gone = absent(bench.way.steps);
  // A closed unit has nothing to come until it is opened again.
  const coming = way === 'IN' && (running || bench.stand.lastIn === undefined) ? step : undefined;

  return (
    <Box
      display="grid"
      gridTemplateColumns={{ base: '1fr', lg: '500px 1fr' }}
      gridTemplateRows="1fr auto"
      flex="1"
    >
      {starts ? (
        <Start bench={bench} press={press} busy={busy} error={error} />
      ) : (
        <>
          <StepPanel
            key={`${way} ${step?.id ?? ''} ${turns}`}
            bench={bench}
            way={way}
            passed={passed}
            pass={(component) => setPassed([...passed, component])}
            step={step}
            others={way === 'IN' && step?.insteadOf ? standIns(bench, step) : []}
            turn={setWay}
            choose={setInstead}
            again={() => setAgain(true)}
            press={press}
            settle={(thing) => setPointed({ thing, from: owedAccount(thing) })}
            busy={busy}
            unsent={unsent.made.length}
            error={error}
          />
          <MatArea>
            {(height) => (
              <>
                <Mat
                  heaps={heaps(bench.way.steps, coming)}
                  height={height - (gone.length > 0 ? 84 : 0)}
                  pick={running ? (lying) => setPointed({ thing: lying.thing, from: 'TRAY' }) : undefined}
                />
                <AbsentStrip absent={gone} pick={(thing, from) => setPointed({ thing, from })} />
              </>
            )}
          </MatArea>
        </>
      )}
      <Unsent bench={bench} {...unsent} />
      <Footer bench={bench} unsent={unsent.why !== undefined && unsent.made.length > 0} />
      <MoveDialog
        job={bench.unit.jobId}
        key={pointed ? pointed.thing.id + pointed.from : 'none'}
        pointed={pointed}
        close={() => setPointed(undefined)}
        move={(move) => through(press({ act: 'move', move }))}
        busy={busy}
        error={pointed ? error : null}
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
