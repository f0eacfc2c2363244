import type { AnimalView } from '../../api/client';
import { MenuItem } from '../../ui/Menu';
import { newId } from '../../ui/newId';
import { downscale } from '../../ui/downscale';
import { useDone } from '../Journal/DoneContext';
import { useAddPicture } from './queries';

/** Opens the camera at once; the picture is made smaller and kept like any entry, also out of reach. */
export function TakePictureItem({ animal }: { animal: AnimalView }) {
  const take = useTakePicture(animal);
  return (
    <MenuItem letter="0" onSelect={take}>
      Take a picture
    </MenuItem>
  );
}

function useTakePicture(animal: AnimalView): () => void {
  const add = useAddPicture(false);
  const { tell } = useDone();
  const name = animal.details.nickname;
  const keep = async (file: File) => {
    const written = await add.mutateAsync({
      stockId: animal.stockId,
      name,
      pictureId: newId(),
      entryId: newId(),
      caption: '',
      ofExuvia: false,
      file: await downscale(file),
    });
    tell(written === null ? `${name}: picture (waits for the server)` : `${name}: picture kept`);
  };
  return () => {
    // Made for this one tap: the menu that was tapped is gone when the camera comes back.
    const input = document.createElement('input');
    input.type = 'file';
    input.accept = 'image/*';
    input.capture = 'environment';
    input.addEventListener('change', () => {
      const file = input.files?.[0];
      if (file !== undefined) {
        void keep(file);
      }
    });
    input.click();
  };
}
