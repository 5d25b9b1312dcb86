import type { Schemas } from './client';

/** The words of the floor for the closed lists of the API. */
export const remedyWords: Record<Schemas['FindingRow']['remedy'], string> = {
  REPLACED: 'replaced',
  CLEANED: 'cleaned',
  REVIVED: 'revived',
  STRAIGHTENED: 'straightened',
  RESEATED: 'reseated',
  LUBRICATED: 'lubricated',
  ADJUSTED: 'adjusted',
  RESOLDERED: 'resoldered',
  OBJECT_REMOVED: 'object removed',
  IMPROVISED: 'improvised',
  LEFT_AS_IT_IS: 'left as it is',
};

export const stageWords: Record<Schemas['Check']['stage'], string> = {
  ARRIVAL: 'on arrival',
  BEFORE_CLOSING: 'before closing',
  AFTER_CLOSING: 'after closing',
};

export const verdictWords: Record<Schemas['Check']['verdict'], string> = {
  PASSED: 'passed',
  FAILED: 'failed',
  NOT_TESTED: 'not tested',
};

export const outcomeWords: Record<Schemas['OutcomeGiven']['outcome'], string> = {
  FIXED: 'fixed',
  FIXED_WITH_REMARK: 'fixed with a remark',
  PARTLY_FIXED: 'partly fixed',
  NOT_FIXED: 'not fixed',
  NO_FAULT_FOUND: 'no fault found',
  NOT_WORTH_IT: 'not worth it',
  KEPT_FOR_PARTS: 'kept for parts',
};

export const markWords = {
  SEAL_WHOLE: 'seal whole',
  SEAL_BROKEN: 'seal broken',
  SEAL_OURS: 'our seal',
  SCREWS_MISSING: 'screws missing',
  DENTS: 'dents',
  BENT: 'bent',
  LIQUID: 'liquid',
  EARLIER_ATTEMPT: 'opened before',
  SWOLLEN_CELL: 'swollen cell',
  BURNT_SMELL: 'smells burnt',
} as const;

export const holdWords: Record<Schemas['HoldRow']['kind'], string> = {
  CURE: 'cures',
  DRY: 'dries',
  REST: 'rests',
  BLEED: 'charge bleeds off',
  SOAK: 'soak test',
  PART: 'part on its way',
  OWNER: 'owner is asked',
};

export const kindWords: Record<Schemas['Model']['kind'], string> = {
  CONSOLE: 'console',
  COMPUTER: 'computer',
  PLAYER: 'player',
  DRIVE: 'drive',
  OTHER: 'other',
};

export const sideWords: Record<Schemas['StepSaid']['side'], string> = {
  TOP: 'top up',
  BOTTOM: 'bottom up',
  FRONT: 'front up',
  BACK: 'back up',
  LEFT: 'left side up',
  RIGHT: 'right side up',
};

export const headWords: Record<Schemas['FastenerGroup']['head'], string> = {
  CROSS: 'cross',
  HEXALOBULAR: 'hexalobular',
  HEXALOBULAR_SECURITY: 'hexalobular, pin',
  SLOTTED: 'slotted',
  HEX: 'hex',
  TRI_WING: 'tri-wing',
  RIVET: 'rivet',
  CLIP: 'clip',
};

export const threadWords: Record<Schemas['FastenerGroup']['thread'], string> = {
  MACHINE: 'machine, into metal',
  TAPPING: 'tapping, into plastic',
  NONE: 'no thread',
};

/** "cross PH1, tapping, 2.6 × 9 mm, black". */
export function fastenerWords(group: Schemas['FastenerGroup']): string {
  const thread =
    group.thread === 'NONE' ? '' : `, ${group.thread === 'MACHINE' ? 'fine: metal' : 'coarse: plastic'}`;
  const size = group.size ? ` ${group.size}` : '';
  return `${headWords[group.head]}${size}${thread}, ${group.diameterMm} × ${group.lengthMm} mm, ${group.finish.toLowerCase()}`;
}

export function day(iso: string): string {
  return new Date(iso).toLocaleDateString('en-GB', { day: 'numeric', month: 'short', year: 'numeric' });
}

export function moment(iso: string): string {
  return new Date(iso).toLocaleString('en-GB', {
    day: 'numeric',
    month: 'short',
    hour: '2-digit',
    minute: '2-digit',
  });
}

export const reworkWords: Record<NonNullable<Schemas['StartSaid']['rework']>, string> = {
  FORGOTTEN_PLUG: 'a plug was forgotten',
  MISSED_CHECK: 'a check was missed',
  WRONG_PART: 'the wrong part was put in',
  SECOND_FAULT: 'there is a second fault',
  OTHER: 'another reason',
};

export const meansWords: Record<Schemas['LookRow']['means'], string> = {
  LOOKED: 'looked',
  MEASURED: 'measured',
  TAKEN_OUT: 'taken out to see',
  SWAPPED: 'swapped with a good one',
};

export const causeWords: Record<NonNullable<Schemas['FindingRow']['cause']>, string> = {
  AGE: 'age',
  FALL: 'a fall',
  LIQUID: 'liquid',
  HEAT: 'heat',
  EARLIER_REPAIR: 'an earlier repair',
  OWNER_TREATMENT: 'the owner’s own treatment',
  STORAGE: 'storage',
};

export const changeWords: Record<Schemas['After']['change'], string> = {
  WENT: 'went',
  STAYED: 'stayed',
  CAME: 'came',
};

export const triageWords: Record<Schemas['Way']['way'], string> = {
  MEND: 'mend it',
  SELL_AS_IS: 'sell as it is, fault told',
  KEEP_FOR_PARTS: 'keep for parts',
  SCRAP: 'scrap it',
};

/** "5 of 9, revision", "shipped table". */
export function behindWords({ level, count, outOf }: Schemas['Behind']): string {
  const of = { REVISION: 'revision', MODEL: 'model', KIND: 'its kind', ALL: 'all', SHIPPED: '' }[level];
  return level === 'SHIPPED' ? 'shipped table' : `${count} of ${outOf}, ${of}`;
}

/** "½ min", "12 min", "1.4 h". */
export function span(minutes: number): string {
  if (minutes < 0.75) {
    return '½ min';
  }
  return minutes < 59.5 ? `${Math.max(1, Math.round(minutes))} min` : `${(minutes / 60).toFixed(1)} h`;
}
