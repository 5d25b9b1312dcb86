import { Box, chakra } from '@chakra-ui/react';
import { useQuery } from '@tanstack/react-query';
import { Link, useParams } from 'react-router';
import { answer, api, type Schemas } from '../api/client';
import { answers } from '../api/queries';
import { PaperMat } from '../drawing/PaperMat';
import { Act } from '../parts/Buttons';
import { Empty, Loaded } from '../parts/States';
import { Tag } from '../parts/Tag';
import { whole } from './heaps';

/** The mat of a unit on one page: laid under the screws where no screen is near. */
export default function PaperMatPage() {
  const job = Number(useParams().job);
  const bench = useQuery({
    queryKey: answers.bench(job),
    queryFn: () => answer(api.GET('/api/jobs/{job}/bench', { params: { path: { job } } })),
  });
  return <Loaded query={bench}>{(now) => <PaperOf bench={now} />}</Loaded>;
}

function PaperOf({ bench }: { bench: Schemas['BenchView'] }) {
  const route = bench.run?.route ?? [];
  const steps = bench.way.steps.filter((step) => route.length === 0 || step.open || route.includes(step.id));
  return (
    <Box p="14px 22px" bg="white" flex="1">
      <Box display="flex" alignItems="center" gap="16px" mb="8px">
        <Tag text={bench.unit.tag} />
        <chakra.h1>
          {bench.unit.model} {bench.unit.revision}
        </chakra.h1>
        <Box ml="auto" display="flex" gap="8px" className="noprint">
          <Act look="main" onClick={() => window.print()}>
            Print it
          </Act>
          <Link to={`/bench/${bench.unit.jobId}`}>
            <chakra.span color="chalk" textDecoration="underline" lineHeight="40px">
              Back to the bench
            </chakra.span>
          </Link>
        </Box>
      </Box>
      {steps.length === 0 ? (
        <Empty>No notes for this one yet: nothing to draw.</Empty>
      ) : (
        <PaperMat heaps={whole(steps)} />
      )}
    </Box>
  );
}
