import { describe, expect, it, vi } from 'vitest';
import { Problem } from '../api/problem';
import type { Bench, Press } from './press';
import { type Made, PressQueue } from './queue';

/** A shop that answers when it is told to, and does a request with a known id once. */
function shop() {
  const done: string[] = [];
  const known = new Map<string, number>();
  let version = 7;
  let lost = false;
  let no: Problem | undefined;
  const stored: { made: Made[] } = { made: [] };
  const later: (() => void)[] = [];
  let ids = 0;
  const send = async (seen: number, press: Press, id: string): Promise<Bench> => {
    await Promise.resolve();
    if (lost) {
      throw new Problem(0, 'does not answer', [], []);
    }
    if (!known.has(id)) {
      if (no || seen !== version) {
        throw no ?? new Problem(412, 'pressed on an older sight', [], []);
      }
      version += 1;
      known.set(id, version);
      done.push(words(press));
    }
    return { version: known.get(id) } as Bench;
  };
  const ways = (turnedDown = vi.fn()) => ({
    shelf: {
      load: () => JSON.parse(JSON.stringify(stored.made)) as Made[],
      save: (made: readonly Made[]) => {
        stored.made = [...made];
      },
    },
    send,
    newId: () => `id ${ids++}`,
    answered: () => undefined,
    turnedDown,
    later: (act: () => void) => later.push(act),
  });
  return {
    done,
    stored,
    ways,
    open: () => {
      const queue = new PressQueue(ways());
      queue.seen(version);
      return queue;
    },
    lose: (now: boolean) => {
      lost = now;
    },
    refuse: (problem?: Problem) => {
      no = problem;
    },
    elsewhere: () => {
      version += 1;
      return version;
    },
    tick: async () => {
      await settled();
      for (const act of later.splice(0)) {
        act();
      }
      await settled();
    },
  };
}

const words = (press: Press) => ('step' in press ? `${press.act} ${press.step}` : press.act);
const settled = () => new Promise((resolve) => setTimeout(resolve));
const into = (n: number): Press => ({ act: 'in', step: `step ${n}`, said: { found: [] } });

describe('presses', () => {
  it('made without a connection are kept, fifty of them, and arrive once each, in order', async () => {
    const there = shop();
    const queue = there.open();
    there.lose(true);
    for (let n = 0; n < 50; n++) {
      queue.press(into(n));
    }
    await there.tick();
    expect(queue.now().made).toHaveLength(50);
    expect(queue.now().stuck?.status).toBe(0);
    expect(there.done).toEqual([]);
    there.lose(false);
    await there.tick();
    expect(there.done).toEqual(Array.from({ length: 50 }, (_, n) => `in step ${n}`));
    expect(queue.now().made).toEqual([]);
    expect(there.stored.made).toEqual([]);
  });

  it('outlive a reload, and one whose answer got lost is not done twice', async () => {
    const there = shop();
    const first = new PressQueue({
      ...there.ways(),
      // It is done, and the answer never comes.
      send: async (...sent) => {
        await there.ways().send(...sent);
        throw new Problem(0, 'does not answer', [], []);
      },
    });
    first.seen(7);
    first.press(into(1));
    first.press(into(2));
    await settled();
    const again = there.open();
    await settled();
    expect(there.done).toEqual(['in step 1', 'in step 2']);
    expect(again.now().made).toEqual([]);
  });

  it('that do not fit stop those behind them, and none is lost before somebody has said what becomes of it', async () => {
    const there = shop();
    const queue = there.open();
    there.lose(true);
    const went = [into(1), into(2), into(3)].map((press) => queue.press(press));
    await there.tick();
    // The first has gone out on the bench as it was; somebody else pressed meanwhile.
    const now = there.elsewhere();
    there.lose(false);
    await there.tick();
    expect(queue.now().refused?.status).toBe(412);
    expect(queue.now().made).toHaveLength(3);
    expect(there.done).toEqual([]);
    expect(await went[0]).toBe(false);
    queue.seen(now);
    queue.again();
    await settled();
    expect(there.done).toEqual(['in step 1', 'in step 2', 'in step 3']);
  });

  it('can be left out one by one or all together', async () => {
    const there = shop();
    const queue = there.open();
    there.refuse(new Problem(409, 'not so', ['not so'], []));
    queue.press(into(1));
    queue.press(into(2));
    queue.press(into(3));
    await settled();
    expect(queue.now().refused?.reasons).toEqual(['not so']);
    there.refuse();
    queue.leaveOut(false);
    await settled();
    expect(there.done).toEqual(['in step 2', 'in step 3']);
    there.refuse(new Problem(409, 'not so', [], []));
    queue.press(into(4));
    queue.press(into(5));
    await settled();
    queue.leaveOut(true);
    there.refuse();
    await settled();
    expect(there.done).toEqual(['in step 2', 'in step 3']);
    expect(queue.now().made).toEqual([]);
  });

  it('refused alone and at once are told and gone, as one that nothing waits behind', async () => {
    const there = shop();
    const turnedDown = vi.fn();
    const queue = new PressQueue(there.ways(turnedDown));
    queue.seen(7);
    there.refuse(new Problem(409, 'not so', [], []));
    expect(await queue.press(into(1))).toBe(false);
    expect(turnedDown).toHaveBeenCalledOnce();
    expect(queue.now().made).toEqual([]);
    expect(queue.now().refused).toBeUndefined();
  });
});
