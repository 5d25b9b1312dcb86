import type { Schemas } from '../api/client';
import { Row } from '../parts/Fields';
import { TakePhoto } from '../parts/TakePhoto';
import { PhotoForm } from './PhotoForm';

type Photo = Schemas['Photo'];

/** The photos of a step, each with its marks. */
export function StepPhotos({ photos, set }: { photos: Photo[]; set: (photos: Photo[]) => void }) {
  return (
    <Row name="Photos">
      {photos.map((photo, n) => (
        <PhotoForm
          key={`${photo.hash} ${n}`}
          photo={photo}
          change={(next) => set(photos.map((one, at) => (at === n ? next : one)))}
          remove={() => set(photos.filter((_, at) => at !== n))}
        />
      ))}
      <TakePhoto taken={(photo) => set([...photos, photo])} />
    </Row>
  );
}
