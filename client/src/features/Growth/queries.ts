import type { AnimalView } from '../../api/client';
import { useWrite } from '../../api/writing';

export interface NewPicture {
  stockId: string;
  name: string;
  pictureId: string;
  entryId: string;
  caption: string;
  ofExuvia: boolean;
  file: Blob;
}

/** @param shows Whether a refusal is shown where the picture was chosen; else it is set aside. */
export const useAddPicture = (shows: boolean) =>
  useWrite<NewPicture, AnimalView>(({ stockId, name, file, pictureId, entryId, caption, ofExuvia }) => {
    const query = new URLSearchParams({ pictureId, entryId, caption, ofExuvia: String(ofExuvia) });
    return {
      path: `/api/stock/${stockId}/pictures?${query}`,
      body: file,
      ids: [entryId],
      about: [stockId],
      topic: 'journal',
      text: `${name}: picture`,
    };
  }, shows);
