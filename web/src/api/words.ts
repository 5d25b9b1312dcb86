import type { Schemas } from './client';
import { floor } from './enumWords';
import { figure } from './shopWide';

/** "cross PH1, coarse: plastic, 2.6 × 9 mm, black"; what nobody has looked at or measured is a question mark. */
export function fastenerWords(group: Schemas['FastenerGroup']): string {
  const thread = { MACHINE: 'fine: metal', TAPPING: 'coarse: plastic', NONE: '' }[group.thread ?? 'NONE'];
  const mm = (size?: number) => (size === undefined ? '?' : figure(size));
  const sized = group.diameterMm !== undefined || group.lengthMm !== undefined;
  return [
    `${group.head ? floor.Head[group.head] : 'head?'}${group.size ? ` ${group.size}` : ''}`,
    thread,
    sized
      ? `${mm(group.diameterMm)} × ${mm(group.lengthMm)} mm`
      : group.thread === 'NONE'
        ? ''
        : 'not measured',
    group.finish ? floor.Finish[group.finish] : '',
  ]
    .filter(Boolean)
    .join(', ');
}

export { day, moment } from './shopWide';

/** "5 of 9, revision", "shipped table". */
export function behindWords({ level, count, outOf }: Schemas['Behind']): string {
  const of = { REVISION: 'revision', MODEL: 'model', KIND: 'its kind', ALL: 'all', SHIPPED: '' }[level];
  return level === 'SHIPPED' ? 'shipped table' : `${count} of ${outOf}, ${of}`;
}

/** "½ min", "12 min", "1.4 h". */
export function span(minutes: number): string {
  if (minutes < 0.75) {
    return '½ min';
  }
  return minutes < 59.5 ? `${Math.max(1, Math.round(minutes))} min` : `${figure(minutes / 60, 1)} h`;
}

/** "drawer belt, slack". */
export function faultWords({ component, wrong }: Schemas['FaultName']): string {
  return `${component}, ${wrong}`;
}

/** The same of what is offered at the bench: of a component that was never found wrong the component alone. */
export function hereWords({ component, wrong }: Schemas['LikelyHere']): string {
  return wrong === undefined ? component : `${component}, ${wrong}`;
}
