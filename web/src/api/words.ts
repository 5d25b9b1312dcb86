import type { Schemas } from './client';
import { floor } from './enumWords';
import { figure } from './shopWide';

/** "cross PH1, tapping, 2.6 × 9 mm, black". */
export function fastenerWords(group: Schemas['FastenerGroup']): string {
  const thread =
    group.thread === 'NONE' ? '' : `, ${group.thread === 'MACHINE' ? 'fine: metal' : 'coarse: plastic'}`;
  const size = group.size ? ` ${group.size}` : '';
  return `${floor.Head[group.head]}${size}${thread}, ${figure(group.diameterMm)} × ${figure(group.lengthMm)} mm, ${floor.Finish[group.finish]}`;
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
