import { Writes } from '../../ui/Writes';
import { PageTitle } from '../../ui/PageTitle';
import { FilePick } from '../../ui/FilePick';
import { downscale } from '../../ui/downscale';
import { Button } from '../../ui/Button';
import { useState } from 'react';
import { Link, useParams } from 'react-router';
import { type AnimalView, Refusal, type Schemas } from '../../api/client';
import { useAddPicture } from './queries';
import { useSettings } from '../Rooms/queries';
import { useRulebook } from '../Rulebook/queries';
import { useAnimal } from '../Stock/queries';
import { dayDate, dayOf } from '../../ui/dates';
import { Check, FormError, TextField } from '../../ui/Field';
import { Waiting } from '../../ui/Waiting';
import { PictureMeasure } from './PictureMeasure';
import { newId } from '../../ui/newId';

type Picture = Schemas['PictureEvent'];

/** The pictures of an animal: added, measured in, and two of them side by side. */
export function PicturesPage() {
  const { id = '' } = useParams();
  return (
    <Waiting query={useAnimal(id)} what="The pictures">
      {(animal) => <Pictures animal={animal} />}
    </Waiting>
  );
}

const address = (picture: Picture) => `/api/pictures/${picture.pictureId}`;
const night = (picture: Picture) => dayOf(picture.at);

function Pictures({ animal }: { animal: AnimalView }) {
  const unit = useSettings().data?.settings.unit ?? 'mm';
  const group = useRulebook().data?.groups.find((g) => g.id === animal.details.group);
  const pictures = [...animal.pictures].reverse();
  const [measured, setMeasured] = useState<Picture | null>(null);
  const [beside, setBeside] = useState<readonly string[]>([]);
  const pick = (id: string) =>
    setBeside((b) => (b.includes(id) ? b.filter((other) => other !== id) : [...b.slice(-1), id]));
  const pair = beside
    .flatMap((id) => animal.pictures.filter((p) => p.pictureId === id))
    .sort((a, b) => a.at.localeCompare(b.at));
  return (
    <div className="px-6 pt-4 pb-10 max-sm:px-4">
      <p className="text-13 text-muted">
        <Link to={`/stock/${animal.stockId}`} className="linkish">
          {animal.details.nickname}
        </Link>{' '}
        · <span className="code">{animal.place}</span> <i>{animal.species}</i>
      </p>
      <PageTitle>{`Pictures of ${animal.details.nickname}`}</PageTitle>
      <h1 className="mb-3 page-title">Pictures</h1>
      <Writes>
        <AddPicture animal={animal} />
      </Writes>
      {measured !== null && (
        <PictureMeasure
          key={measured.pictureId}
          animal={animal}
          source={address(measured)}
          picture={measured}
          parts={group?.parts ?? ['body']}
          unit={unit}
          onClose={() => setMeasured(null)}
        />
      )}
      {pair.length === 2 && (
        <section aria-label="Side by side" className="mt-4 grid grid-cols-2 gap-3 border-t border-line pt-4">
          {pair.map((p) => (
            <figure key={p.pictureId} className="min-w-0">
              <img
                src={address(p)}
                alt={p.caption || 'Picture'}
                className="max-h-[60vh] w-full object-contain"
              />
              <figcaption className="text-13 text-muted">
                {dayDate(night(p))} {p.caption}
              </figcaption>
            </figure>
          ))}
        </section>
      )}
      {pictures.length === 0 ? (
        <p className="mt-6 border-t border-line pt-4 text-muted">
          No pictures yet. Lay a ruler flat beside the shed skin and photograph both from straight above: then
          its carapace can be measured here.
        </p>
      ) : (
        <ul className="mt-6 grid grid-cols-4 gap-4 border-t border-line pt-4 max-lg:grid-cols-3 max-sm:grid-cols-2">
          {pictures.map((p) => (
            <li key={p.pictureId} className="min-w-0">
              <img
                src={address(p)}
                alt={p.caption || `Picture of ${animal.details.nickname}`}
                className="h-40 w-full rounded-s object-cover"
                loading="lazy"
              />
              <p className="mt-1 text-13">
                {dayDate(night(p))} {p.caption} {p.ofExuvia && <span className="text-muted">shed skin</span>}
              </p>
              <div className="flex flex-wrap items-center gap-x-4">
                <Button writes kind="link" className="text-13" onClick={() => setMeasured(p)}>
                  Measure in it
                </Button>
                <label className="flex min-h-8 cursor-pointer items-center gap-1.5 text-13 touch:min-h-11">
                  <input
                    type="checkbox"
                    className="size-4 accent-lampmark"
                    checked={beside.includes(p.pictureId)}
                    onChange={() => pick(p.pictureId)}
                  />
                  side by side
                </label>
              </div>
            </li>
          ))}
        </ul>
      )}
    </div>
  );
}

function AddPicture({ animal }: { animal: AnimalView }) {
  const add = useAddPicture(true);
  const [caption, setCaption] = useState('');
  const [ofExuvia, setOfExuvia] = useState(false);
  const refusal = add.error instanceof Refusal ? add.error : null;
  const send = async (file: File) => {
    const smaller = await downscale(file);
    add.mutate(
      {
        stockId: animal.stockId,
        name: animal.details.nickname,
        pictureId: newId(),
        entryId: newId(),
        caption,
        ofExuvia,
        file: smaller,
      },
      { onSuccess: () => setCaption('') },
    );
  };
  return (
    <div className="flex flex-wrap items-end gap-4">
      <div className="w-72 max-sm:w-full">
        <TextField
          label="What it shows"
          value={caption}
          onChange={setCaption}
          error={refusal?.for('caption')}
        />
      </div>
      {animal.lastMolt !== null && (
        <Check label="The shed skin of the last molt" value={ofExuvia} onChange={setOfExuvia} />
      )}
      <FilePick
        kind="first"
        accept="image/jpeg,image/png,image/webp"
        busy={add.isPending}
        onPick={(file) => void send(file)}
      >
        {add.isPending ? 'Adding…' : 'Choose a picture'}
      </FilePick>
      <FormError>{refusal?.all}</FormError>
      <p className="w-full text-12 text-muted">
        JPEG, PNG or WebP up to 12 MB. It stays on this computer; place and camera are taken out of it.
      </p>
    </div>
  );
}
