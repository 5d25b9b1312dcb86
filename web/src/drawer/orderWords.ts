import type { Schemas } from '../api/client';
import { floor } from '../api/enumWords';

/** "within 5 days, four times in five". */
export function takesWords(takes: Schemas['Takes']): string {
  return `within ${days(takes.half)} half the time, ${days(takes.fourFifths)} four times in five`;
}

function days(value: number): string {
  const whole = Math.max(1, Math.ceil(value));
  return whole === 1 ? 'a day' : `${whole} days`;
}

/** "10 from the belt maker, sent; within 5 days …". */
export function comingWords(one: Schemas['ComingLine']): string {
  const from = one.supplier ? ` from ${one.supplier}` : '';
  const takes = one.takes ? `; here ${takesWords(one.takes)}` : '';
  return `${one.left}${from}, ${floor.OrderStanding[one.standing]}${takes}`;
}
