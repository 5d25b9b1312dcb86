import { describe, expect, it } from 'vitest';
import type { Schemas } from '../api/client';
import { together } from './together';

type Step = Schemas['StepSaid'];

const step = (id: string, title = id, needs: string[] = []) => ({ id, title, needs }) as unknown as Step;
const titles = (steps: Step[]) => steps.map((one) => one.title);

describe('two people in the same notes', () => {
  const base = [step('lid'), step('deck', 'deck', ['lid']), step('board', 'board', ['deck'])];

  it('keeps what each of them changed', () => {
    const mine = [base[0], step('deck', 'deck, mine', ['lid']), base[2], step('fan')] as Step[];
    const theirs = [step('lid', 'lid, theirs'), base[1], base[2], step('lamp')] as Step[];
    const { steps, both } = together(base, mine, theirs);
    expect(titles(steps)).toEqual(['lid, theirs', 'deck, mine', 'board', 'lamp', 'fan']);
    expect(both).toEqual([]);
  });

  it('lets mine stand where both changed the same step, and says so', () => {
    const mine = [step('lid', 'lid, mine'), base[1], base[2]] as Step[];
    const theirs = [step('lid', 'lid, theirs'), base[1], base[2]] as Step[];
    const { steps, both } = together(base, mine, theirs);
    expect(titles(steps)).toEqual(['lid, mine', 'deck', 'board']);
    expect(both).toEqual(['lid, theirs']);
  });

  it('takes out what either took out, and what needed it needs it no more', () => {
    const { steps, both } = together(base, [base[0], base[1]] as Step[], [base[0], base[2]] as Step[]);
    expect(titles(steps)).toEqual(['lid']);
    expect(both).toEqual([]);
    const kept = together(base, base, [base[0], base[2]] as Step[]);
    expect(kept.steps.map((one) => one.needs)).toEqual([[], []]);
  });

  it('names what one changed and the other took out', () => {
    const mine = [base[0], step('deck', 'deck, mine', ['lid']), base[2]] as Step[];
    const { steps, both } = together(base, mine, [base[0], base[2]] as Step[]);
    expect(titles(steps)).toEqual(['lid', 'board', 'deck, mine']);
    expect(both).toEqual(['deck, mine']);
  });
});
