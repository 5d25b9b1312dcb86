import { chakra } from '@chakra-ui/react';
import { type ReactNode, useRef } from 'react';
import { Act } from './Buttons';

/** A button that asks for a file; the same file can be picked again after it was mended. */
export function FilePick({
  name,
  accept,
  busy,
  camera,
  bench,
  picked,
  children,
}: {
  /** of the field, for those who do not see the button */
  name: string;
  accept: string;
  busy: boolean;
  /** whether a tablet opens its camera at once */
  camera?: boolean;
  /** on the mat rather than on paper */
  bench?: boolean;
  picked: (file: File) => void;
  children: ReactNode;
}) {
  const field = useRef<HTMLInputElement>(null);
  return (
    <>
      <chakra.input
        ref={field}
        type="file"
        accept={accept}
        capture={camera ? 'environment' : undefined}
        aria-label={name}
        display="none"
        onChange={(event) => {
          const file = event.target.files?.[0];
          event.target.value = '';
          if (file) {
            picked(file);
          }
        }}
      />
      <Act
        look={bench ? 'bench' : 'plain'}
        minH={bench ? '56px' : undefined}
        disabled={busy}
        onClick={() => field.current?.click()}
      >
        {children}
      </Act>
    </>
  );
}
