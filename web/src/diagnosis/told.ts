import type { Schemas } from '../api/client';
import type { Key } from '../app/keys';

/** What is told at an open unit beside a finding: that a component is good or bad, or a symptom there or not. */
export type Told =
  | { component: number; good: boolean; how?: Schemas['CheckAdvice']['how'] }
  | Schemas['Symptom'];

type Way = { label: string; told: Told };

/** How the next check can come out; nothing if the model has no such component. */
export function bothWays({ what, ask, how, componentId }: Schemas['CheckAdvice']): [Way, Way] | [] {
  if (ask) {
    return [
      { label: 'so', told: { name: what, present: true } },
      { label: 'not so', told: { name: what, present: false } },
    ];
  }
  return componentId === undefined
    ? []
    : [
        { label: 'good', told: { component: componentId, good: true, how } },
        { label: 'bad', told: { component: componentId, good: false, how } },
      ];
}

/** Good and bad, so and not so: the same two keys. */
export function answerKeys(next: Schemas['CheckAdvice'], told: (answers: Told[]) => void): Key[] {
  const [yes, no] = bothWays(next);
  return yes && no
    ? [
        { key: 'Y', label: yes.label, act: () => told([yes.told]) },
        { key: 'L', label: no.label, act: () => told([no.told]) },
      ]
    : [];
}
