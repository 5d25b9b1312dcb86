import { answer, api, Problem } from '../api/client';
import { minorOf } from '../typed/sum';
import type { Form } from './counterForm';

/** The end of the day that was named, by the clock of the shop. */
export function endOf(due: string): string | undefined {
  return due ? new Date(`${due}T18:00`).toISOString() : undefined;
}

/** Takes the unit in and prints its papers. It is in whatever the printer does: what did not print is said, and printed from its sheet. */
export async function takeIn(form: Form, revision: number | undefined, slot: string, currency: string) {
  const resale = form.ownership === 'RESALE';
  const paidMinor = resale ? minorOf(form.paid, currency) : undefined;
  if (Number.isNaN(paidMinor)) {
    throw new Problem(400, 'What was paid for it cannot be read: say it again, or leave it empty.', [], []);
  }
  const taken = await answer(
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
        due: endOf(form.due),
        arrival: form.arrival,
      },
    }),
  );
  const printed = await Promise.allSettled(
    (['SLIP', 'TAG'] as const).map((paper) =>
      answer(api.POST('/api/jobs/{job}/papers', { params: { path: { job: taken.jobId } }, body: { paper } })),
    ),
  );
  return { ...taken, unprinted: printed.some((one) => one.status === 'rejected') };
}
