import { useMemo } from 'react';
import type { Schemas } from '../api/client';
import { colours } from '../theme';
import { accessLayout, type Box, COMPONENT_LINE, smooth } from './accessLayout';

type Step = Schemas['StepSaid'];

/** How far the map may shrink to fit. */
const SMALLEST = 0.78;

/** The notes as layers, outermost on the left; the chosen way is lit, and each component can be asked for. */
export function AccessMap({
  steps,
  components,
  way,
  targets,
  pointed,
  point,
  pick,
}: {
  steps: Step[];
  components: Schemas['ModelComponent'][];
  /** ids of the steps of the way, in order; empty if nothing is asked for */
  way: string[];
  targets: number[];
  pointed?: string;
  point: (step: string) => void;
  pick: (component: number) => void;
}) {
  const map = useMemo(
    () => accessLayout(steps, new Map(components.map((one) => [one.id, one.name]))),
    [steps, components],
  );
  const lit = new Set(way);
  return (
    <svg
      viewBox={`0 0 ${map.width} ${map.height}`}
      width={map.width}
      // A deep unit is scrolled, not shrunk until nobody can read it.
      style={{ maxWidth: '100%', minWidth: map.width * SMALLEST, height: 'auto', display: 'block' }}
      role="group"
      aria-label="Access map"
    >
      {[...map.paths]
        .sort((one, other) => Number(onWay(one, lit)) - Number(onWay(other, lit)))
        .map((path) => (
          <path
            key={`${path.from} ${path.to}`}
            d={smooth(path.points)}
            fill="none"
            stroke={onWay(path, lit) ? colours.mat : colours.otherWay}
            strokeWidth={onWay(path, lit) ? 5 : 2.5}
          />
        ))}
      {map.boxes.map((box) => (
        <StepBox
          key={box.step.id}
          box={box}
          turn={way.indexOf(box.step.id) + 1}
          pointed={pointed === box.step.id}
          point={point}
          targets={targets}
          pick={pick}
        />
      ))}
    </svg>
  );
}

function onWay(path: { from: string; to: string }, lit: Set<string>): boolean {
  return lit.has(path.from) && lit.has(path.to);
}

function StepBox({
  box,
  turn,
  pointed,
  point,
  targets,
  pick,
}: {
  box: Box;
  turn: number;
  pointed: boolean;
  point: (step: string) => void;
  targets: number[];
  pick: (component: number) => void;
}) {
  const { step } = box;
  const on = turn > 0;
  return (
    <g transform={`translate(${box.x} ${box.y})`}>
      <g
        tabIndex={0}
        role="button"
        aria-pressed={pointed}
        style={{ cursor: 'pointer' }}
        aria-label={`${on ? `Step ${turn} of the way: ` : ''}${step.title}, takes off ${offWords(step)}`}
        onClick={() => point(step.id)}
        onFocus={() => point(step.id)}
        onMouseEnter={() => point(step.id)}
      >
        <rect
          width={box.width}
          height={box.head}
          rx={3}
          fill={on ? colours.mat : colours.card}
          stroke={pointed ? colours.chalk : on ? colours.matSurface : colours.chipEdge}
          strokeWidth={pointed ? 3 : 1.4}
          strokeDasharray={step.insteadOf ? '7 4' : undefined}
        />
        {box.title.map((line, n) => (
          <text
            key={line}
            x={10}
            y={22 + n * 17}
            fontSize={14.5}
            style={{ fontWeight: 700 }}
            fill={on ? colours.onMat : colours.ink}
          >
            {line}
          </text>
        ))}
        {on && (
          <g transform={`translate(${box.width} 0)`}>
            <circle r={12} fill={colours.tape} stroke={colours.matSurface} />
            <text
              y={5}
              fontSize={13.5}
              textAnchor="middle"
              style={{ fontWeight: 600 }}
              fill={colours.onTape}
              fontFamily="'IBM Plex Mono', monospace"
            >
              {turn}
            </text>
          </g>
        )}
        <g transform={`translate(16 ${box.head - 15})`}>
          <circle r={5.5} fill={colours.brassLight} stroke={colours.brass} />
          <path d="M-3 0H3M0 -3V3" stroke={colours.onBrass} strokeWidth={1.4} />
        </g>
        <text
          x={27}
          y={box.head - 10.5}
          fontSize={12.5}
          fontWeight={600}
          fill={on ? colours.brassOnMat : colours.brassInk}
          fontFamily="'IBM Plex Mono', monospace"
        >
          {offWords(step)}
        </text>
      </g>
      {step.exposes.map((component, n) => (
        <Component
          key={component}
          name={box.behind[n] ?? ''}
          on={targets.includes(component)}
          y={box.head + 15 + n * COMPONENT_LINE}
          width={box.width}
          pick={() => pick(component)}
        />
      ))}
    </g>
  );
}

function Component({
  name,
  on,
  y,
  width,
  pick,
}: {
  name: string;
  on: boolean;
  y: number;
  width: number;
  pick: () => void;
}) {
  const colour = on ? colours.hazard : colours.chalk;
  return (
    <g
      role="button"
      tabIndex={0}
      aria-pressed={on}
      aria-label={`Reach the ${name}`}
      style={{ cursor: 'pointer' }}
      onClick={pick}
      onKeyDown={(event) => {
        if (event.key === 'Enter' || event.key === ' ') {
          event.preventDefault();
          event.stopPropagation();
          pick();
        }
      }}
    >
      <rect x={0} y={y - 12} width={width} height={24} fill="transparent" />
      <circle cx={12} cy={y} r={5} fill={on ? colour : 'none'} stroke={colour} strokeWidth={2} />
      <text x={24} y={y + 5} fontSize={14.5} style={{ fontWeight: on ? 700 : 400 }} fill={colour}>
        {fitted(name, 20)}
      </text>
    </g>
  );
}

function fitted(words: string, most: number): string {
  return words.length > most ? `${words.slice(0, most - 1)}…` : words;
}

/** "4 · 2 plugs · 1 loose · ?", where nobody has counted some. */
export function offWords(step: Step): string {
  const sum = (some: { count?: number }[]) => some.reduce((all, one) => all + (one.count ?? 0), 0);
  const fasteners = sum(step.fasteners);
  const pieces = sum(step.pieces);
  const plugs = sum(step.connectors);
  const open = [...step.fasteners, ...step.pieces].some((one) => one.count === undefined);
  const words = [
    fasteners > 0 ? String(fasteners) : '',
    plugs > 0 ? `${plugs} plug${plugs > 1 ? 's' : ''}` : '',
    pieces > 0 ? `${pieces} loose` : '',
    open ? '?' : '',
  ].filter(Boolean);
  return words.length > 0 ? words.join(' · ') : 'nothing';
}
