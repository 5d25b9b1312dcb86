import { useEffect, useState } from 'react';
import { colours } from '../theme';

/** A ring that fills while something waits, with what is left in words. */
export function WaitRing({ from, until, size }: { from: string; until: string; size: number }) {
  const [now, setNow] = useState(() => Date.now());
  useEffect(() => {
    const timer = window.setInterval(() => setNow(Date.now()), 1000);
    return () => window.clearInterval(timer);
  }, []);
  const start = new Date(from).getTime();
  const end = new Date(until).getTime();
  const share = end > start ? Math.min(1, Math.max(0, (now - start) / (end - start))) : 1;
  const left = leftWords(end - now);
  const radius = 42;
  const round = 2 * Math.PI * radius;
  return (
    <svg viewBox="0 0 100 100" width={size} height={size} role="img" aria-label={left}>
      <circle
        cx={50}
        cy={50}
        r={radius}
        fill="none"
        stroke={colours.amber}
        strokeOpacity={0.28}
        strokeWidth={10}
      />
      <circle
        cx={50}
        cy={50}
        r={radius}
        fill="none"
        stroke={colours.amber}
        strokeWidth={10}
        strokeDasharray={`${round * share} ${round}`}
        transform="rotate(-90 50 50)"
      />
      <text x={50} y={57} textAnchor="middle" fontSize={20} fontWeight={700} fill="currentColor">
        {share >= 1 ? 'over' : left}
      </text>
    </svg>
  );
}

function leftWords(ms: number): string {
  if (ms <= 0) {
    return 'over';
  }
  const minutes = Math.ceil(ms / 60_000);
  if (minutes < 60) {
    return `${minutes} min`;
  }
  const hours = Math.floor(minutes / 60);
  return hours < 48 ? `${hours} h ${minutes % 60}` : `${Math.round(hours / 24)} d`;
}
