import { z } from 'zod';
import type { Typed } from '../typed/numeral';
import { readQuantity } from '../typed/quantity';
import { readSum } from '../typed/sum';

type Context = { addIssue: (issue: { code: 'custom'; message: string }) => void };

/** By the shared rules of what people type: one reading is sent, two are asked about, none says why. */
function taken(got: Typed, context: Context): number {
  if ('read' in got) {
    return got.read;
  }
  context.addIssue({ code: 'custom', message: 'problem' in got ? got.problem : 'Say which is meant' });
  return z.NEVER;
}

/** What fields of forms hold and send: words that must be there, sums and quantities as they are typed. */
export const said = {
  /** Words that must be there, without the spaces around them. */
  words: (missing: string) => z.string().trim().min(1, missing),

  /** Minor units of a sum. */
  sum: (currency: string) =>
    z.string().transform((typed, context) => taken(readSum(typed, currency), context)),

  /** Minor units of a sum, or undefined if nothing is typed. */
  sumIfAny: (currency: string) =>
    z
      .string()
      .transform((typed, context) =>
        typed.trim() === '' ? undefined : taken(readSum(typed, currency), context),
      ),

  /** A quantity in the unit that is asked for. */
  quantity: (unit: string, missing: string) =>
    z
      .string()
      .transform((typed, context) =>
        taken(typed.trim() === '' ? { problem: missing } : readQuantity(typed, unit), context),
      ),

  /** A quantity, or undefined if nothing is typed. */
  quantityIfAny: (unit: string) =>
    z
      .string()
      .transform((typed, context) =>
        typed.trim() === '' ? undefined : taken(readQuantity(typed, unit), context),
      ),

  /** A whole number within its bounds. */
  count: (least: number, most: number) =>
    z
      .number(`A whole number, ${least} to ${most}`)
      .int('A whole number')
      .min(least, `At least ${least}`)
      .max(most, `At most ${most}`),

  /** Names with commas between them. */
  listed: z.string().transform((typed) =>
    typed
      .split(',')
      .map((one) => one.trim())
      .filter(Boolean),
  ),
};
