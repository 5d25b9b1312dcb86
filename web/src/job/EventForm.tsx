import { Box } from '@chakra-ui/react';
import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { answer, api, type Schemas } from '../api/client';
import { floor } from '../api/enumWords';
import { Form, Sends } from '../form/Form';
import { ChoiceIn, TextIn } from '../form/fields';
import { useSending } from '../form/useSending';
import { Chip } from '../parts/Buttons';
import { Choice } from '../parts/Choice';
import { TakePhoto } from '../parts/TakePhoto';
import { experienceOf } from './experience';

const KINDS = {
  inside: 'found inside',
  altered: 'not as made now',
  decided: 'decided',
  observed: 'observed',
};

type Kind = keyof typeof KINDS;

/** What happens on a job beside steps, findings and checks. */
export function EventForm({ job, done }: { job: number; done: () => void }) {
  const [kind, setKind] = useState<Kind>('inside');
  return (
    <>
      <Choice label="What happened" words={KINDS} picked={kind} pick={setKind} mb="8px" />
      {kind === 'inside' && <FoundInside job={job} done={done} />}
      {kind === 'altered' && <Altered job={job} done={done} />}
      {kind === 'decided' && <Decided job={job} done={done} />}
      {kind === 'observed' && <Observed job={job} done={done} />}
    </>
  );
}

type Part = { job: number; done: () => void };

/** What lay inside: one press for what it is; what is somebody's joins what goes back. */
function FoundInside({ job, done }: Part) {
  const form = useSending({
    blank: { what: 'DISC', state: '', photo: undefined } as Schemas['FoundInsideSaid'],
    kept: `inside ${job}`,
    send: (body) => answer(api.POST('/api/jobs/{job}/found-inside', { params: { path: { job } }, body })),
    done,
    leave: done,
  });
  return (
    <Form of={form} name="Found inside">
      <ChoiceIn of={form} at="what" label="What lay inside" words={floor.FoundThing} />
      <TextIn of={form} at="state" label="What it is like" />
      {form.value.photo ? (
        <img
          src={`/api/photos/${form.value.photo}`}
          alt="What lay inside"
          style={{ maxHeight: 160, borderRadius: 3 }}
        />
      ) : (
        <TakePhoto taken={(kept) => form.put('photo', kept.hash)} />
      )}
      <Sends of={form} go="Found it inside" />
    </Form>
  );
}

function Altered({ job, done }: Part) {
  const form = useSending({
    blank: { where: '', now: '' },
    kept: `altered ${job}`,
    send: (body) => answer(api.POST('/api/jobs/{job}/alterations', { params: { path: { job } }, body })),
    done,
    leave: done,
  });
  return (
    <Form of={form} name="Not as made now">
      <Box display="grid" gridTemplateColumns="1fr 1fr" gap="8px">
        <TextIn of={form} at="where" label="What of it" placeholder="rivets of the deck" />
        <TextIn of={form} at="now" label="What is there now" placeholder="screws M2 × 5" />
      </Box>
      <Sends of={form} go="It stays so" />
    </Form>
  );
}

/** What others chose here stands before one chooses. */
function Decided({ job, done }: Part) {
  const experience = useQuery(experienceOf(job));
  const form = useSending({
    blank: { fork: '', choice: '', considered: '', why: '' },
    kept: `decided ${job}`,
    send: (body) => answer(api.POST('/api/jobs/{job}/decisions', { params: { path: { job } }, body })),
    done,
    leave: done,
  });
  const forks = experience.data?.forks ?? [];
  const here = forks.find((one) => one.fork === form.value.fork.trim().toLowerCase());
  const whys = [...new Set(forks.flatMap((fork) => fork.choices.map((one) => one.why)).filter(Boolean))];
  return (
    <Form of={form} name="Decided">
      <TextIn of={form} at="fork" label="What was to be decided" list="forks" />
      <datalist id="forks">
        {forks.map((one) => (
          <option key={one.fork} value={one.fork} />
        ))}
      </datalist>
      {!here && forks.length > 0 && (
        <Box display="flex" gap="6px" flexWrap="wrap" role="group" aria-label="Where others had to decide">
          {forks.slice(0, 6).map((one) => (
            <Chip key={one.fork} on={false} onClick={() => form.put('fork', one.fork)}>
              {one.fork}
            </Chip>
          ))}
        </Box>
      )}
      {here && (
        <Box display="flex" gap="6px" flexWrap="wrap" role="group" aria-label="What others chose here">
          {here.choices.map((one) => (
            <Chip
              key={one.choice}
              on={form.value.choice === one.choice}
              onClick={() => form.set({ choice: one.choice, why: form.value.why || one.why })}
            >
              {one.choice}, {one.times} of {here.times}
              {one.regretted > 0 ? `, ${one.regretted} regretted` : ', none regretted'}
            </Chip>
          ))}
        </Box>
      )}
      <Box display="grid" gridTemplateColumns="1fr 1fr" gap="8px">
        <TextIn of={form} at="choice" label="What was chosen" />
        <TextIn of={form} at="considered" label="Rather than" />
      </Box>
      <TextIn of={form} at="why" label="Why" />
      {whys.length > 0 && (
        <Box display="flex" gap="4px" flexWrap="wrap" role="group" aria-label="Reasons given before">
          {whys.slice(0, 6).map((one) => (
            <Chip key={one} on={form.value.why === one} fontSize="sm" onClick={() => form.put('why', one)}>
              {one}
            </Chip>
          ))}
        </Box>
      )}
      <Sends of={form} go="Decided so" />
    </Form>
  );
}

const VERDICT = { good: 'as it should be', bad: 'not as it should be' };

/** Something without a figure; what a good unit does stands beside it. */
function Observed({ job, done }: Part) {
  const experience = useQuery(experienceOf(job));
  const form = useSending({
    blank: { what: '', expected: '', found: '', verdict: 'good' as keyof typeof VERDICT, condition: '' },
    kept: `observed ${job}`,
    send: ({ verdict, ...said }) =>
      answer(
        api.POST('/api/jobs/{job}/observations', {
          params: { path: { job } },
          body: { ...said, good: verdict === 'good' },
        }),
      ),
    done,
    leave: done,
  });
  const good = experience.data?.good ?? [];
  const beside = good.find((one) => one.what.toLowerCase() === form.value.what.trim().toLowerCase());
  return (
    <Form of={form} name="Observed">
      <Box display="grid" gridTemplateColumns="1fr 1fr" gap="8px">
        <TextIn of={form} at="what" label="What was tried or looked at" list="observed" />
        <TextIn of={form} at="condition" label="Under which condition" />
        <TextIn
          of={form}
          at="expected"
          label="What a good one does"
          placeholder={beside?.found ?? ''}
          hint={
            beside && `a good one here: ${beside.found}${beside.condition ? `, ${beside.condition}` : ''}`
          }
        />
        <TextIn of={form} at="found" label="What this one does" />
      </Box>
      <datalist id="observed">
        {good.map((one) => (
          <option key={one.what} value={one.what} />
        ))}
      </datalist>
      <ChoiceIn of={form} at="verdict" label="Verdict" words={VERDICT} />
      <Sends of={form} go="Saw it" />
    </Form>
  );
}

/** Heard of a unit that has left; it may show that something said of it was wrong. */
export function LaterForm({ sheet, done }: { sheet: Schemas['JobSheet']; done: () => void }) {
  const job = sheet.job.id;
  const form = useSending({
    blank: { words: '', undoes: undefined as number | undefined },
    kept: `later ${job}`,
    send: (body) => answer(api.POST('/api/jobs/{job}/later-words', { params: { path: { job } }, body })),
    done,
    leave: done,
  });
  const standing = sheet.findings.filter((one) => one.struckWhy === undefined);
  return (
    <Form of={form} name="Heard later">
      <TextIn of={form} at="words" label="What was heard" />
      {standing.length > 0 && (
        <Box display="flex" gap="6px" flexWrap="wrap" role="group" aria-label="It shows that this was wrong">
          {standing.map((one) => (
            <Chip
              key={one.id}
              on={form.value.undoes === one.id}
              onClick={() => form.put('undoes', form.value.undoes === one.id ? undefined : one.id)}
            >
              it was not {one.fault.component}, {one.fault.wrong}
            </Chip>
          ))}
        </Box>
      )}
      <Sends of={form} go="Add it" />
    </Form>
  );
}
