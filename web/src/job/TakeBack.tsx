import { useState } from 'react';
import { answer, api } from '../api/client';
import { WhyForm } from '../form/WhyForm';
import { Act } from '../parts/Buttons';

/** Strikes a remark: it stays in the story, with why. */
export function TakeBack({ entry, words }: { entry: number; words: string }) {
  const [asked, setAsked] = useState(false);
  if (!asked) {
    return (
      <Act look="quiet" minH="34px" ml="6px" aria-label={`Strike: ${words}`} onClick={() => setAsked(true)}>
        Strike
      </Act>
    );
  }
  return (
    <WhyForm
      label="Why it is struck"
      go="Strike it"
      send={(why) =>
        answer(api.POST('/api/entries/{entry}/take-back', { params: { path: { entry } }, body: { why } }))
      }
      leave={() => setAsked(false)}
    />
  );
}
