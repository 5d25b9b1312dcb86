import { colours } from '../theme';

const [WIDE, HIGH] = [92, 22];

/** How many jobs had it, month by month; the last one is at the right. */
export function MonthLine({ months, rising }: { months: number[]; rising: boolean }) {
  const most = Math.max(1, ...months);
  const step = WIDE / Math.max(1, months.length);
  return (
    <svg viewBox={`0 0 ${WIDE} ${HIGH}`} width={WIDE} height={HIGH} role="img" aria-label={months.join(', ')}>
      {months.map((count, n) => (
        <rect
          key={n}
          x={n * step + 0.5}
          y={HIGH - 2 - ((HIGH - 4) * count) / most}
          width={Math.max(1, step - 1)}
          height={((HIGH - 4) * count) / most + 1}
          fill={rising && n >= months.length - 3 ? colours.hazard : colours.mat}
        />
      ))}
    </svg>
  );
}
