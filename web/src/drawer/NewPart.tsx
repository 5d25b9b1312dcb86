import { chakra } from '@chakra-ui/react';
import { PartForm } from './PartForm';
import type { Open } from './useOpen';

export function NewPart({ open }: { open: Open }) {
  return (
    <>
      <chakra.h1>A new part</chakra.h1>
      <PartForm drawer={open.drawer} done={(made) => open.beside(made)} />
    </>
  );
}
