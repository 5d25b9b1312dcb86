import type { Schemas } from '../api/client';

type Step = Schemas['StepView'];
type Hazard = Schemas['Hazard'];

/** What has to be said before hands go in: that it is unplugged, that a wait is over, that a caution is heeded. */
export type Before =
  | { what: 'unplug' }
  | { what: 'wait'; hazard: Hazard; wait: Schemas['Wait'] }
  | { what: 'heed'; hazard: Hazard };

/** One thing at a time, in this order; nothing when the step can be done. */
export function beforeStep(step: Step | undefined): Before | undefined {
  if (!step) {
    return undefined;
  }
  if (step.wantsUnplugged) {
    return { what: 'unplug' };
  }
  for (const hazard of step.over) {
    if (hazard.waits && !hazard.waits.over) {
      return { what: 'wait', hazard, wait: hazard.waits };
    }
  }
  const hazard = step.over.find((one) => !one.heeded);
  return hazard && { what: 'heed', hazard };
}
