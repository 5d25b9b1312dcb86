import type { Schemas } from '../api/client';

/** What the left half of a job's sheet is doing. */
export type Doing =
  | { what: 'nothing' }
  | { what: 'finding'; corrects?: Schemas['FindingRow'] }
  | { what: 'check'; corrects?: Schemas['CheckRow'] }
  | { what: 'outcome' }
  | { what: 'hold' }
  | { what: 'handover' }
  | { what: 'loan' }
  | { what: 'electrical' }
  | { what: 'arrival' }
  | { what: 'event' }
  | { what: 'later' };
