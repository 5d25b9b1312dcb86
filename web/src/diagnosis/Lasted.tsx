import { chakra } from '@chakra-ui/react';
import type { Schemas } from '../api/client';

/** How a remedy held here: "14 here, none back". */
export function Lasted({ of }: { of: Schemas['RemedyHere'] }) {
  return (
    <chakra.span display="block" fontSize="sm" fontWeight={400}>
      {words(of)}
    </chakra.span>
  );
}

function words({ times, failed, cameBack, level }: Schemas['RemedyHere']): string {
  if (times === 0) {
    return 'not yet here';
  }
  return [
    `${times} ${level === 'MODEL' ? 'here' : 'on others'}`,
    failed > 0 ? `${failed} changed nothing` : '',
    cameBack > 0 ? `${cameBack} back` : failed === 0 ? 'none back' : '',
  ]
    .filter(Boolean)
    .join(', ');
}
