// A picture of the bread: taken with whatever takes pictures here, made small before it is sent.
import { useState } from 'react';
import { useDropPhoto, useKeepPhoto } from '../api/changes';
import { api } from '../api/http';
import * as words from './words';
import css from './logbook.module.css';

// As large as a screen shows it, and as fine as the eye sees. Ours.
const widest = 1280;
const fine = 0.82;

/** Whether a bake has one, and where it lies. */
export function usePhoto(id: string) {
  const { data } = api.useQuery('get', '/api/photos', undefined, { staleTime: 60_000 });
  return data?.includes(id) ? `/api/bakes/${id}/photo` : null;
}

export function Photo({ id, of }: { id: string; of: string }) {
  const there = usePhoto(id);
  const keep = useKeepPhoto();
  const drop = useDropPhoto();
  const [trouble, setTrouble] = useState('');
  // The same address shows another picture once it was changed.
  const [version, setVersion] = useState(0);
  const take = async (file: File | undefined) => {
    if (!file) return;
    const small = await smaller(file).catch(() => null);
    if (!small) return setTrouble(words.thisCannotBeShownAs);
    const { trouble } = await keep.make({ id, photo: small });
    setTrouble(trouble?.title ?? '');
    setVersion(version + 1);
  };
  return (
    <section className={css.photo} aria-label={words.pictureOfTheBread}>
      {there && <img src={`${there}?${version}`} alt={of} />}
      <div className="choices">
        <label className="button small">
          {there ? words.anotherPicture : words.addAPicture}
          <input
            type="file"
            accept="image/*"
            className={css.unseen}
            onChange={(e) => {
              void take(e.target.files?.[0]);
              e.target.value = '';
            }}
          />
        </label>
        {there && (
          <button type="button" className="button small quiet" onClick={() => void drop.make({ id })}>
            {words.removeIt}
          </button>
        )}
      </div>
      {trouble && (
        <p className="problem" role="alert">
          {trouble}
        </p>
      )}
    </section>
  );
}

async function smaller(file: File) {
  const picture = await createImageBitmap(file, { imageOrientation: 'from-image' });
  const scale = Math.min(1, widest / Math.max(picture.width, picture.height));
  const canvas = document.createElement('canvas');
  canvas.width = Math.round(picture.width * scale);
  canvas.height = Math.round(picture.height * scale);
  canvas.getContext('2d')?.drawImage(picture, 0, 0, canvas.width, canvas.height);
  return new Promise<Blob | null>((done) => canvas.toBlob(done, 'image/jpeg', fine));
}
