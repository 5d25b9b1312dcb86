import { Box } from '@chakra-ui/react';
import { useQuery } from '@tanstack/react-query';
import { useEffect, useState } from 'react';
import { Link } from 'react-router';
import { answer, api, type Schemas } from '../api/client';
import { floor } from '../api/enumWords';
import { answers } from '../api/queries';
import { Act } from '../parts/Buttons';
import { chime, rings } from './ringing';

type Timer = Schemas['Timer'];
const RUNG = 'wn.rung';

/** Rings when a wait is over: a strip across the top, a sound and a notification, as this browser is set. */
export function Bell() {
  const timers = useQuery({
    queryKey: answers.holds(),
    queryFn: () => answer(api.GET('/api/holds')),
    refetchInterval: 20_000,
  });
  const [now, setNow] = useState(() => Date.now());
  const [rung, setRung] = useState<number[]>(() => JSON.parse(localStorage.getItem(RUNG) ?? '[]'));
  useEffect(() => {
    const timer = window.setInterval(() => setNow(Date.now()), 1000);
    return () => window.clearInterval(timer);
  }, []);
  const over = (timers.data ?? []).filter(
    (one) => one.until !== undefined && new Date(one.until).getTime() <= now && !rung.includes(one.id),
  );
  const newest = over[over.length - 1]?.id;
  useEffect(() => {
    if (newest !== undefined) {
      const one = timers.data?.find((timer) => timer.id === newest);
      if (one) {
        ring(one);
      }
    }
  }, [newest, timers.data]);
  function heard() {
    const all = [...rung, ...over.map((one) => one.id)].slice(-200);
    localStorage.setItem(RUNG, JSON.stringify(all));
    setRung(all);
  }
  if (over.length === 0) {
    return null;
  }
  return (
    <Box
      role="status"
      aria-label="A wait is over"
      bg="amber"
      color="onMat"
      px="22px"
      py="6px"
      display="flex"
      alignItems="center"
      gap="16px"
      flexWrap="wrap"
    >
      {over.slice(0, 4).map((one) => (
        <Link key={one.id} to={`/jobs/${one.jobId}`}>
          <b>{one.tag}</b> no longer waits ({floor.HoldKind[one.kind]}): {one.why}
        </Link>
      ))}
      {over.length > 4 && <span>and {over.length - 4} more</span>}
      <Act look="quiet" color="onMat" ml="auto" minH="34px" onClick={heard}>
        Heard
      </Act>
    </Box>
  );
}

const announced = new Set<number>();

function ring(one: Timer) {
  if (announced.has(one.id)) {
    return;
  }
  announced.add(one.id);
  const set = rings();
  if (set.sound) {
    chime();
  }
  if (set.notification && 'Notification' in window && Notification.permission === 'granted') {
    new Notification(`${one.tag} no longer waits`, { body: one.why });
  }
}
