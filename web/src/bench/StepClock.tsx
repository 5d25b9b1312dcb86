import { Box } from '@chakra-ui/react';
import { useEffect, useState } from 'react';
import { moment } from '../api/shopWide';
import type { Bench } from './press';

/** A step that takes half as long again as usual is worth a word. */
const LATE = 1.5;
const LOOKS_MS = 10_000;

/** How long the step in hand takes so far, against its usual minutes, and the sum: quiet until it matters. */
export function StepClock({ bench, usual }: { bench: Bench; usual?: number }) {
  const now = useNow();
  const run = bench.run;
  if (!run || run.pausedSince) {
    return null;
  }
  if (now > Date.parse(run.atItUntil)) {
    return (
      <Box
        fontFamily="mono"
        fontSize="sm"
        color="chalkDust"
        whiteSpace="nowrap"
        title={`last press ${moment(run.pressedAt)}`}
      >
        {Math.round(run.minutesWorked)} min in all
      </Box>
    );
  }
  const since = Math.max(0, (now - Date.parse(run.pressedAt)) / 60_000);
  const late = usual !== undefined && usual > 0 && since > Math.max(2, LATE * usual);
  const all = Math.round(run.minutesWorked + since);
  return (
    <Box
      fontFamily="mono"
      fontSize="sm"
      fontWeight={late ? 700 : 400}
      color={late ? 'brassLight' : 'chalkDust'}
      whiteSpace="nowrap"
      aria-label={`${Math.floor(since)} minutes at this, ${all} in all`}
    >
      {late && `${Math.floor(since)} of ${usual} min · `}
      {all} min in all
    </Box>
  );
}

function useNow(): number {
  const [now, setNow] = useState(Date.now());
  useEffect(() => {
    const timer = window.setInterval(() => setNow(Date.now()), LOOKS_MS);
    return () => window.clearInterval(timer);
  }, []);
  return now;
}
