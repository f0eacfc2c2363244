import { useMayWrite } from '../../ui/mayWrite';
import { Link } from 'react-router';
import type { AnimalView } from '../../api/client';
import { shortDate, dayOf } from '../../ui/dates';
import { fromMm, type LengthUnit } from '../../ui/lengths';
import { instarName } from '../Stock/words';

/** What follows from the skins: molts left, the record with a missed molt counted, limbs, pictures, sex. */
export function GrowthNotes({ animal, unit }: { animal: AnimalView; unit: LengthUnit }) {
  const mayWrite = useMayWrite();
  const growth = animal.growth.value;
  const corrected = growth?.corrected ?? null;
  const sex = animal.sexTold.at(-1);
  return (
    <div className="mt-2 grid gap-1.5 text-13">
      {animal.moltsLeft.value !== null && (
        <p className={animal.moltsLeft.value.agree ? '' : 'border-l-2 border-lampmark pl-2'}>
          {animal.moltsLeft.summary}
        </p>
      )}
      {corrected?.next != null && (
        <p className="border-l-2 border-lampmark pl-2">
          If the molt was missed: × {corrected.ratio.toFixed(2)} per molt, next{' '}
          <b className="font-semibold">
            {instarName(animal, corrected.next.instar)} {fromMm(corrected.next.medianMm, unit)}
          </b>{' '}
          ({fromMm(corrected.next.low90Mm, unit)}–{fromMm(corrected.next.high90Mm, unit)} {unit}). If you
          agree, log the molt with the nights between which it must have been; nothing is changed by itself.
        </p>
      )}
      {growth?.limbs.map((limb) => (
        <p key={limb.limb}>
          <b className="font-semibold">{limb.limb}</b> {limbWord[limb.state]} {shortDate(limb.seenOn)}
          {limb.moltsSinceLost > 0 &&
            `, ${limb.moltsSinceLost} ${limb.moltsSinceLost === 1 ? 'molt' : 'molts'} since it was lost`}
          . <span className="text-muted">{limb.outlook}</span>
        </p>
      ))}
      {sex !== undefined && (
        <p>
          {sex.sex === 'unknown' ? 'Sex not certain' : `Told as ${sex.sex}`} {shortDate(dayOf(sex.at))},{' '}
          {evidenceWord[sex.by]}.
        </p>
      )}
      {(mayWrite || animal.pictures.length > 0) && (
        <p>
          <Link to={`/stock/${animal.stockId}/pictures`} className="linkish">
            {animal.pictures.length === 0
              ? 'Add a picture, or measure in one'
              : `${animal.pictures.length} ${animal.pictures.length === 1 ? 'picture' : 'pictures'}`}
          </Link>
        </p>
      )}
    </div>
  );
}

const limbWord = { lost: 'lost', small: 'small again', full: 'full size again' } as const;

const evidenceWord = {
  shedSkin: 'from the shed skin',
  furrow: 'by the furrow',
  adultMarks: 'by adult marks',
  segments: 'by its segments',
  pores: 'by its pores or tubes',
  pectines: 'by its combs',
  antennae: 'by its antennae',
  looks: 'by its looks',
} as const;
