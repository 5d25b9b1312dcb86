import { Box } from '@chakra-ui/react';
import { useMutation } from '@tanstack/react-query';
import { answer, api } from '../api/client';
import { Act } from '../parts/Buttons';
import { Trouble } from '../parts/States';

const PAPERS = [
  ['SLIP', 'slip', 'Slip'],
  ['TAG', 'tag', 'Tag'],
  ['LEAVING', 'leaving', 'Leaving paper'],
] as const;

/** Slip and tag once more: on the shop's printer, or opened for the browser's. */
export function Papers({ job }: { job: number }) {
  const print = useMutation({
    mutationFn: (paper: (typeof PAPERS)[number][0]) =>
      answer(api.POST('/api/jobs/{job}/papers', { params: { path: { job } }, body: { paper } })),
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
              href={`/api/jobs/${job}/papers/${ending}.pdf`}
              target="_blank"
              rel="noreferrer"
              style={{ color: '#27548A', textDecoration: 'underline', padding: '6px' }}
            >
              see it
            </a>
          </Box>
        ))}
        {print.data && <span role="status">Printed to {print.data.where}.</span>}
      </Box>
      <Trouble error={print.error} />
    </Box>
  );
}
