import { useState } from 'react';
import { type Schemas, refusalOf } from '../../api/client';
import { FilePick } from '../../ui/FilePick';
import { newId } from '../../ui/newId';
import { useAddPicture } from '../Growth/queries';
import { CountedPicture } from './CountedPicture';
import { addressOf, bytesOf, countIn } from './pictures';

export interface PictureCounted {
  count: number;
  low: number;
  high: number;
  pictureId: string;
}

interface Props {
  stockId: string;
  name: string;
  onCount: (counted: PictureCounted) => void;
}

interface Found {
  address: string;
  pictureId: string;
  result: Schemas['PictureCountResult'];
}

/** Counts a brood in a picture, to be mended by taps; the picture is kept on its record. */
export function CountInPicture({ stockId, name, onCount }: Props) {
  const add = useAddPicture(true);
  const [found, setFound] = useState<Found | null>(null);
  const [busy, setBusy] = useState(false);
  const [wrong, setWrong] = useState<string | null>(null);
  const pick = async (file: File) => {
    setBusy(true);
    setWrong(null);
    try {
      const address = await addressOf(file);
      const { result } = await countIn(address);
      const pictureId = newId();
      await add.mutateAsync({
        stockId,
        name,
        pictureId,
        entryId: newId(),
        caption: `counted in it: ${result.count}`,
        ofExuvia: false,
        file: bytesOf(address),
      });
      setFound({ address, pictureId, result });
      onCount({ count: result.count, low: result.low, high: result.high, pictureId });
    } catch (caught) {
      const refusal = refusalOf(caught);
      setWrong(refusal.for('picture') ?? refusal.message);
    } finally {
      setBusy(false);
    }
  };
  return (
    <div>
      <FilePick accept="image/*" busy={busy} onPick={(file) => void pick(file)}>
        {busy ? 'Counting…' : found === null ? 'Count in a picture' : 'Another picture'}
      </FilePick>
      <p className="mt-1 text-13 text-muted">
        All of them on white paper, in even light. The picture is kept on their record.
      </p>
      {wrong !== null && (
        <p role="alert" className="mt-1 text-13 text-ember">
          {wrong}
        </p>
      )}
      {found !== null && (
        <div className="mt-2">
          <CountedPicture
            key={found.pictureId}
            picture={found.address}
            found={found.result}
            onCount={(count, low, high) => onCount({ count, low, high, pictureId: found.pictureId })}
          />
        </div>
      )}
    </div>
  );
}
