import { Box } from '@chakra-ui/react';
import { useMutation, useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { answer, api } from '../api/client';
import { answers } from '../api/queries';
import { Act } from '../parts/Buttons';
import { Pick } from '../parts/Fields';
import { Trouble } from '../parts/States';

const PAPERS = [
  ['SLIP', 'slip', 'Slip'],
  ['TAG', 'tag', 'Tag'],
  ['LEAVING', 'leaving', 'Leaving paper'],
  ['MAT', 'mat', 'Mat'],
] as const;

const PLACES = Array.from({ length: 24 }, (_, n) => n + 1);

/** Papers of the job once more: to the shop's printer, or opened for the browser's. */
export function Papers({ job }: { job: number }) {
  const [place, setPlace] = useState(1);
  const shop = useQuery({ queryKey: answers.shop(), queryFn: () => answer(api.GET('/api/shop')) });
  const sheet = shop.data?.settings.tags === 'SHEET_OF_24';
  const print = useMutation({
    mutationFn: (paper: (typeof PAPERS)[number][0]) =>
      answer(api.POST('/api/jobs/{job}/papers', { params: { path: { job } }, body: { paper, place } })),
  });
  return (
    <Box mt="6px">
      <Box display="flex" gap="8px" alignItems="center" flexWrap="wrap">
        {PAPERS.map(([paper, ending, name]) => (
          <Box key={paper} display="flex" alignItems="center">
            <Act minH="34px" disabled={print.isPending} onClick={() => print.mutate(paper)}>
              Print the {name.toLowerCase()}
            </Act>
            <a
              href={`/api/jobs/${job}/papers/${ending}.pdf?place=${place}`}
              target="_blank"
              rel="noreferrer"
              style={{ color: 'var(--chakra-colors-chalk)', textDecoration: 'underline', padding: '6px' }}
            >
              see it
            </a>
          </Box>
        ))}
        {sheet && (
          <Pick
            label="Tag at place"
            compact
            value={place}
            onChange={(event) => setPlace(Number(event.target.value))}
          >
            {PLACES.map((one) => (
              <option key={one} value={one}>
                {one}
              </option>
            ))}
          </Pick>
        )}
        {print.data && (
          <span role="status">It lies in {print.data.where}: no printer is set up. Print it from there.</span>
        )}
      </Box>
      <Trouble error={print.error} />
    </Box>
  );
}
