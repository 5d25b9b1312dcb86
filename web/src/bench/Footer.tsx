import { Box, chakra } from '@chakra-ui/react';
import { Link, useNavigate } from 'react-router';
import type { Schemas } from '../api/client';
import { useKeys } from '../app/keys';
import { Act } from '../parts/Buttons';
import { useGloves } from './device';
import { MeasureHere } from './MeasureHere';

/** How much is off, how far the way is, and the way back to the job sheet. */
/** @param unsent whether something was pressed that the shop has not heard of: what it counts is older than what is drawn */
export function Footer({ bench, unsent }: { bench: Schemas['BenchView']; unsent: boolean }) {
  const navigate = useNavigate();
  const gloved = useGloves();
  // What is open last is where one is.
  const step = bench.way.nextOut;
  const measure = () => navigate(`/gauges?job=${bench.unit.jobId}${step ? `&step=${step}` : ''}`);
  useKeys([{ key: 'D', label: 'Measure', act: measure }]);
  const next = bench.way.steps.find((step) => step.id === bench.way.nextIn);
  const route = bench.run?.route ?? [];
  const shown = bench.way.steps.filter((step) => route.length === 0 || step.open || route.includes(step.id));
  return (
    <Box
      gridColumn="1 / -1"
      borderTop="1px solid"
      borderColor="matGrid"
      bg="matDeep"
      display="flex"
      flexWrap={{ base: 'wrap', lg: 'nowrap' }}
      alignItems="center"
      px="24px"
      py="10px"
      gap="10px 24px"
      minH="80px"
    >
      <Box>
        <Box fontSize="sm" color="chalkDust">
          Off the unit{unsent && ', as far as sent'}
        </Box>
        <Box
          fontFamily="mono"
          fontWeight={600}
          fontSize="xl"
          color="brassPale"
          data-testid="off"
          whiteSpace="nowrap"
        >
          {bench.stand.tallyWords}
        </Box>
      </Box>
      <Box>
        <Box fontSize="sm" color="chalkDust" mb="4px">
          Steps in: {bench.way.steps.filter((step) => step.open).length} of{' '}
          {shown.length > bench.way.stepsInAll && route.length > 0 ? shown.length : bench.way.stepsInAll}
        </Box>
        <Box display="flex" gap="5px" aria-hidden="true" w="min(240px, 80vw)">
          {shown.map((step) => (
            <Box
              key={step.id}
              flex="1 1 22px"
              maxW="22px"
              h="9px"
              borderRadius="2px"
              bg={step.open ? 'brassLight' : 'matEdge'}
              outline={step === next ? '2px solid var(--chakra-colors-bone)' : undefined}
              outlineOffset="2px"
            />
          ))}
        </Box>
      </Box>
      <Box ml="auto" display="flex" gap="8px" alignItems="center">
        <MeasureHere bench={bench} />
        <Act look="bench" minH="56px" h={gloved ? '80px' : undefined} keyName="D" onClick={measure}>
          Measure
        </Act>
      </Box>
      <Box textAlign="right" maxW="430px" minW="120px" flexShrink={1}>
        <Box fontSize="sm" color="chalkDust" truncate title={bench.stand.status.words}>
          {bench.stand.status.words}
        </Box>
        <Link to={`/jobs/${bench.unit.jobId}`}>
          <chakra.span color="brassLight" textDecoration="underline">
            Job sheet of {bench.unit.tag}
          </chakra.span>
        </Link>
      </Box>
    </Box>
  );
}
