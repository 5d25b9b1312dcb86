import { answer, api, Problem } from '../api/client';
import { minorOf } from '../typed/sum';
import type { AtCounter } from './counterForm';

/** Takes the unit in. It is in whatever the printer does: what did not print is said, and printed from its sheet. */
export async function takeIn(form: AtCounter, revision: number | undefined, slot: string, currency: string) {
  const resale = form.ownership === 'RESALE';
  const paidMinor = resale ? minorOf(form.paid, currency) : undefined;
  if (Number.isNaN(paidMinor)) {
    throw new Problem(400, 'What was paid for it cannot be read: say it again, or leave it empty.', [], []);
  }
  return answer(
    api.POST('/api/jobs', {
      body: {
        unitId: form.unitId,
        serial: form.serial,
        revisionId: revision as number,
        ownership: form.ownership,
        ownerId: form.ownerId,
        ownerName: form.ownerName,
        ownerContact: form.ownerContact,
        lotId: resale ? form.lotId : undefined,
        paidMinor,
        slot: slot || undefined,
        due: form.due || undefined,
        arrival: form.arrival,
      },
    }),
  );
}
