import type { Schemas } from '../api/client';

type Step = Schemas['StepSaid'];

/**
 * Two people wrote in the same notes: what one changed and the other left is taken from the one; where both did, mine stands and is named.
 *
 * @param base what both began with
 */
export function together(base: Step[], mine: Step[], theirs: Step[]): { steps: Step[]; both: string[] } {
  const by = (steps: Step[]) => new Map(steps.map((step) => [step.id, step]));
  const was = by(base);
  const here = by(mine);
  const there = by(theirs);
  const same = (one?: Step, other?: Step) => JSON.stringify(one) === JSON.stringify(other);
  const both: string[] = [];
  const merged = theirs.flatMap((step) => {
    const before = was.get(step.id);
    const own = here.get(step.id);
    if (same(own, before) || same(own, step)) {
      return [step];
    }
    if (!same(step, before)) {
      both.push(step.title);
    }
    // Taken out by me, or changed by me.
    return own ? [own] : [];
  });
  for (const own of mine) {
    if (!there.has(own.id)) {
      const before = was.get(own.id);
      if (before && same(own, before)) {
        continue;
      }
      if (before) {
        both.push(own.title);
      }
      merged.push(own);
    }
  }
  const left = new Set(merged.map((step) => step.id));
  // A name that is no step's is that of steps which stand in for one another: it stays.
  const known = (id: string) => left.has(id) || (!was.has(id) && !there.has(id) && !here.has(id));
  return {
    // What needed a step that is gone needs it no more.
    steps: merged.map((step) =>
      step.needs.every(known) ? step : { ...step, needs: step.needs.filter(known) },
    ),
    both,
  };
}
