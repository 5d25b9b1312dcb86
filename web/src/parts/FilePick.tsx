import { chakra } from '@chakra-ui/react';
import { type ReactNode, useRef } from 'react';
import { Act } from './Buttons';

/** A button that asks for a file; the same file can be picked again after it was mended. */
export function FilePick({
  name,
  accept,
  busy,
  picked,
  children,
}: {
  /** of the field, for those who do not see the button */
  name: string;
  accept: string;
  busy: boolean;
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
      <Act disabled={busy} onClick={() => field.current?.click()}>
        {children}
      </Act>
    </>
  );
}
