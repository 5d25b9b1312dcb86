import { useMutation } from '@tanstack/react-query';
import { answer, api, type Schemas } from '../api/client';
import { FilePick } from './FilePick';
import { Trouble } from './States';

/** Takes a picture file into the shop. */
export function TakePhoto({ taken }: { taken: (photo: Schemas['Photo']) => void }) {
  const take = useMutation({
    mutationFn: (file: File) =>
      answer(
        api.POST('/api/photos', {
          body: file as unknown as string,
          bodySerializer: (body) => body,
          headers: { 'Content-Type': 'application/octet-stream' },
        }),
      ),
    onSuccess: (kept) => taken({ hash: kept.hash, words: '', marks: [] }),
  });
  return (
    <>
      <FilePick name="Photo file" accept="image/*" busy={take.isPending} picked={(file) => take.mutate(file)}>
        {take.isPending ? 'Taking it in…' : 'A photo'}
      </FilePick>
      <Trouble error={take.error} />
    </>
  );
}
