import { useMutation } from '@tanstack/react-query';
import { answer, api, type Schemas } from '../api/client';
import { FilePick } from './FilePick';
import { Trouble } from './States';
import { shrunk } from './shrunk';

/** Takes a picture into the shop: by the camera where there is one, from a file where there is none. */
export function TakePhoto({
  taken,
  bench,
  words = 'A photo',
}: {
  taken: (photo: Schemas['Photo']) => void;
  bench?: boolean;
  words?: string;
}) {
  const take = useMutation({
    mutationFn: async (file: File) =>
      answer(
        api.POST('/api/photos', {
          body: (await shrunk(file)) as unknown as string,
          bodySerializer: (body) => body,
          headers: { 'Content-Type': 'application/octet-stream' },
        }),
      ),
    onSuccess: (kept) => taken({ hash: kept.hash, words: '', marks: [] }),
  });
  return (
    <>
      <FilePick
        name="Photo file"
        accept="image/jpeg,image/*"
        camera
        bench={bench}
        busy={take.isPending}
        picked={(file) => take.mutate(file)}
      >
        {take.isPending ? 'Taking it in…' : words}
      </FilePick>
      <Trouble error={take.error} />
    </>
  );
}
