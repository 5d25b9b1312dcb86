import type { Schemas } from '../api/client';
import { colours } from '../theme';
import { Lettering } from './Lettering';
import { short } from './short';

export function BleedCurve({ found, limit }: { found: Schemas['BleedFound']; limit: number }) {
  const most = found.curve[0]?.volts ?? 1;
  const end = found.curve[found.curve.length - 1]?.seconds ?? 1;
  const x = (seconds: number) => 40 + (440 * seconds) / end;
  const y = (volts: number) => 210 - (190 * volts) / most;
  const path = found.curve.map((at, n) => `${n === 0 ? 'M' : 'L'}${x(at.seconds)} ${y(at.volts)}`).join('');
  return (
    <svg
      viewBox="0 0 500 240"
      width="100%"
      role="img"
      aria-label={`From ${short(most)} V to ${limit} V in ${short(found.secondsToMeasure)} seconds at the worst`}
    >
      <path d="M40 20V210H490" fill="none" stroke={colours.muted} />
      {limit < most && (
        <>
          <rect x={40} y={y(limit)} width={440} height={210 - y(limit)} fill={colours.tape} opacity={0.45} />
          <Lettering x={476} y={y(limit) - 6} textAnchor="end" fill={colours.muted} size={13}>
            {limit} V: measure from here on
          </Lettering>
          <path
            d={`M${x(found.secondsToMeasure)} ${y(limit)}V210`}
            stroke={colours.chalk}
            strokeDasharray="4 3"
          />
        </>
      )}
      <path d={path} fill="none" stroke={colours.hazard} strokeWidth={3} />
      <Lettering x={x(found.secondsToMeasure)} y={228} textAnchor="middle" fill={colours.chalk} size={14}>
        {short(found.secondsToMeasure)} s
      </Lettering>
      <Lettering x={36} y={26} textAnchor="end" fill={colours.ink} size={13}>
        {short(most)} V
      </Lettering>
    </svg>
  );
}
