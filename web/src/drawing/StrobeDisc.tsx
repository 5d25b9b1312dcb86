import { colours } from '../theme';
import { Lettering } from './Lettering';

/** A disc with as many bars: it can be printed and laid on. */
export function StrobeDisc({ bars }: { bars: number }) {
  const shown = Math.min(bars, 720);
  const wedge = (n: number) => {
    const from = (2 * Math.PI * n) / shown;
    const to = from + Math.PI / shown;
    const at = (angle: number, r: number) => `${r * Math.sin(angle)} ${-r * Math.cos(angle)}`;
    return `M${at(from, 60)}L${at(from, 96)}A96 96 0 0 1 ${at(to, 96)}L${at(to, 60)}Z`;
  };
  return (
    <svg
      viewBox="-100 -100 200 200"
      width="100%"
      style={{ maxHeight: 460 }}
      role="img"
      aria-label={`Strobe disc with ${bars} bars`}
    >
      <circle r={98} fill={colours.field} stroke={colours.ink} strokeWidth={0.5} />
      <path d={Array.from({ length: shown }, (_, n) => wedge(n)).join('')} fill={colours.ink} />
      <circle r={3.6} fill="none" stroke={colours.ink} strokeWidth={0.5} />
      <Lettering y={-20} textAnchor="middle" fill={colours.ink} size={11}>
        {bars} bars
      </Lettering>
    </svg>
  );
}
