import type { Schemas } from '../api/client';

/** What is said of a unit as it comes in. */
export type Arrival = Schemas['Arrival'];

export const NOTHING_SAID: Arrival = {
  complaint: '',
  symptoms: [],
  marks: [],
  condition: '',
  missing: [],
  belongings: [],
  without: [],
  photos: [],
  places: {},
};
