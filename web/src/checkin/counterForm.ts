import type { Schemas } from '../api/client';
import { type Arrival, NOTHING_SAID } from './arrival';

/** What the counter has been told so far. */
export type AtCounter = {
  seen: string;
  unitId?: number;
  serial: string;
  modelId?: number;
  revisionId?: number;
  ownership: Schemas['Brought']['ownership'];
  ownerId?: number;
  ownerName: string;
  ownerContact: string;
  lotId?: number;
  paid: string;
  slot?: string;
  due: string;
  arrival: Arrival;
};

export const BLANK: AtCounter = {
  seen: '',
  serial: '',
  ownership: 'CUSTOMER',
  ownerName: '',
  ownerContact: '',
  paid: '',
  due: '',
  arrival: NOTHING_SAID,
};

/** The next of a crate is likely much the same: what it is and where it came from stays. */
export function nextAfter({ ownership, lotId, modelId, revisionId, paid }: AtCounter): AtCounter {
  return ownership === 'RESALE' ? { ...BLANK, ownership, lotId, modelId, revisionId, paid } : BLANK;
}

/** Which revision it is: the only one need not be picked. */
export function revisionOf({ modelId, revisionId }: AtCounter, models: Schemas['ModelView'][]) {
  const revisions = models.find((view) => view.model.id === modelId)?.revisions ?? [];
  return revisionId ?? (revisions.length === 1 ? revisions[0]?.id : undefined);
}

/** Where it is put: the first free slot, until another is picked. */
export function slotOf({ slot }: AtCounter, counter: Schemas['Counter']): string {
  return slot ?? counter.freeSlots[0] ?? '';
}
