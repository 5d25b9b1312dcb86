import { type Arrival, NOTHING_SAID } from './arrival';

/** What the counter has been told so far. */
export type Form = {
  seen: string;
  unitId?: number;
  serial: string;
  modelId?: number;
  revisionId?: number;
  ownership: 'CUSTOMER' | 'RESALE';
  ownerId?: number;
  ownerName: string;
  ownerContact: string;
  lotId?: number;
  paid: string;
  slot?: string;
  due: string;
  arrival: Arrival;
};

export const BLANK: Form = {
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
export function nextAfter({ ownership, lotId, modelId, revisionId, paid }: Form): Form {
  return ownership === 'RESALE' ? { ...BLANK, ownership, lotId, modelId, revisionId, paid } : BLANK;
}
