import type { Schemas } from '../api/client';
import { colours } from '../theme';
import { Lettering } from './Lettering';
import { type Stage, SIGNALS as WORDS } from './signals';

/** The chain in rows of six: where the fault may lie is light, and an arrow says where to put the probe. */
export function ChainLine({ stages, found }: { stages: Stage[]; found: Schemas['ChainFound'] }) {
  const rows = Math.ceil(stages.length / 6);
  return (
    <svg viewBox={`0 0 840 ${rows * 120}`} width="100%" role="img" aria-label={found.reasons.join(' ')}>
      {stages.map((stage, at) => {
        const x = (at % 6) * 138 + 8;
        const y = Math.floor(at / 6) * 120 + 34;
        const may =
          found.faults.length > 0
            ? found.faults.some((span) => at >= span.from && at <= span.to)
            : at >= found.from && at <= found.to;
        const it = found.faulty === at;
        return (
          <g key={at}>
            <rect
              x={x}
              y={y}
              width={104}
              height={48}
              rx={3}
              fill={it ? colours.badPale : may ? colours.card : colours.idle}
              stroke={it ? colours.hazard : may ? colours.mat : colours.line}
              strokeWidth={it ? 4 : 2}
              strokeDasharray={may && !it ? '6 4' : undefined}
            />
            <Lettering x={x + 52} y={y + 29} textAnchor="middle" fill={colours.ink} size={14}>
              {stage.name.slice(0, 14)}
            </Lettering>
            <path d={`M${x + 104} ${y + 24}h34`} stroke={colours.ink} strokeWidth={2} />
            <Lettering
              x={x + 121}
              y={y + 16}
              textAnchor="middle"
              fill={stage.out === 'BAD' ? colours.hazard : stage.out === 'GOOD' ? colours.mat : colours.muted}
              size={18}
            >
              {WORDS[stage.out].slice(0, 1)}
            </Lettering>
            {found.probeAfter === at && (
              <>
                <path
                  d={`M${x + 121} ${y + 66}V${y + 32}m-6 9l6 -9l6 9`}
                  fill="none"
                  stroke={colours.chalk}
                  strokeWidth={3}
                />
                <Lettering x={x + 121} y={y + 82} textAnchor="middle" fill={colours.chalk} size={13}>
                  probe here
                </Lettering>
              </>
            )}
          </g>
        );
      })}
    </svg>
  );
}
