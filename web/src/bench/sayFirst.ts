import type { Schemas } from '../api/client';
import type { MainKey } from './moreKeys';
import type { Press, Presses } from './press';

/** The large key while something has to be said first: never the key that does the step. */
export function mainBefore(before: Schemas['SayFirst'], press: Presses, busy: boolean): MainKey {
  switch (before.what) {
    case 'UNPLUG':
      return {
        key: 'Q',
        also: '1',
        words: 'It is off and unplugged',
        act: () => press({ act: 'power', said: { power: 'UNPLUGGED', why: '' } }),
        off: busy,
      };
    case 'WAIT':
      return { key: 'Space', words: 'The wait is not over', act: () => undefined, off: true };
    case 'HEED':
      return {
        key: 'H',
        also: '1',
        words: before.hazard?.waits ? 'Waited for, discharged: heeded' : 'Read: heeded',
        act: () => before.hazard && press({ act: 'heed', step: before.hazard.step }),
        off: busy,
      };
    case 'MARK':
      return { key: 'Space', words: 'Mark it first', act: () => undefined, off: true };
    case 'STANDS_AGAIN':
      return {
        key: 'H',
        also: '1',
        words: 'It stands where it stood',
        act: () => before.adjusted && press(standsAgain(before.adjusted)),
        off: busy,
      };
  }
}

function standsAgain({ step, stays }: Schemas['Adjusted']): Press {
  return { act: 'mark', step, said: { stays: stays.id, words: '' } };
}
