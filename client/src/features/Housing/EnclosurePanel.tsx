import { Button, IconButton } from '../../ui/Button';
import { X } from 'lucide-react';
import { useState } from 'react';
import { Link } from 'react-router';
import type { Schemas } from '../../api/client';
import { useAnimal } from '../Stock/queries';
import { shortDate } from '../../ui/dates';
import { fromMm, type LengthUnit } from '../../ui/lengths';
import { Lantern } from '../../ui/Lantern';
import { ActDialogFor } from '../Journal/ActDialogFor';
import { useWhy, whyAnimal } from '../Reasons/WhyContext';
import { hazardWord } from '../Stock/words';
import { dampSides, heats, vents } from './EnclosureFields';

interface Props {
  slot: Schemas['SlotView'];
  unit: LengthUnit;
  onCarry: () => void;
  onClose: () => void;
}

/** The enclosure that is looked at: its inmate, its measures, and whether they go together. */
export function EnclosurePanel({ slot, unit, onCarry, onClose }: Props) {
  const [measuring, setMeasuring] = useState(false);
  const animal = useAnimal(slot.stockId).data;
  const { toggle } = useWhy();
  const e = slot.enclosure;
  return (
    <>
      <div className="flex items-start gap-3">
        <Lantern shutters={slot.shutters} lit={slot.due} className="size-9" />
        <div className="min-w-0 flex-1">
          <p className="code">{slot.place}</p>
          <h2 className="truncate text-22">
            <Link to={`/stock/${slot.stockId}`} className="hover:underline">
              {slot.name}
            </Link>
          </h2>
          <i className="block truncate text-13 text-muted">{slot.species}</i>
        </div>
        <IconButton onClick={onClose} label="Close" className="-mt-1 -mr-2">
          <X className="size-5" />
        </IconButton>
      </div>
      <p className="mt-1 text-13">
        {slot.phaseWord}
        {slot.due ? ', needs a hand tonight' : ''}
        {slot.quarantine === null ? '' : `, new: apart until ${shortDate(slot.quarantine)}`}
      </p>
      {slot.hazard !== null && (
        <p className="mt-1 text-13 font-semibold text-ember">{hazardWord[slot.hazard]}</p>
      )}
      <h3 className="mt-4 text-15">Enclosure</h3>
      {e === null ? (
        <p className="text-13 text-muted">Not measured yet, so nobody can say whether it fits.</p>
      ) : (
        <dl className="text-13">
          <Row term="Size">
            {e.name}: {fromMm(e.widthMm, unit)} × {fromMm(e.depthMm, unit)} × {fromMm(e.heightMm, unit)}{' '}
            {unit}
          </Row>
          <Row term="Free height">
            {fromMm(e.heightMm - e.substrateMm, unit)} {unit} over {fromMm(e.substrateMm, unit)} {unit} of
            floor
          </Row>
          <Row term="Air">{word(vents, e.vents)}</Row>
          <Row term="Damp">
            {word(dampSides, e.damp)}
            {e.mist === null
              ? ''
              : `; ${Number((e.mist.mlPerSquirt * e.mist.squirts).toFixed(1))} mL every ${e.mist.everyDays} days`}
          </Row>
          <Row term="Warmth">{word(heats, e.heat)}</Row>
        </dl>
      )}
      {slot.fitText !== '' && (
        <p className={`mt-2 text-13 ${slot.fit === 'misfits' ? 'font-semibold text-ember' : ''}`}>
          {slot.fitText}{' '}
          {animal !== undefined && (
            <Button
              kind="link"
              className="text-lamptext"
              onClick={() =>
                toggle({
                  title: 'Why this size?',
                  animal: whyAnimal(animal),
                  summary: animal.fit.summary,
                  reasons: animal.fit.reasons,
                })
              }
            >
              why
            </Button>
          )}
        </p>
      )}
      <div className="mt-4 flex flex-wrap gap-2">
        <Button writes onClick={() => setMeasuring(true)}>
          {e === null ? 'Measure it' : 'Another, or set up anew'}
        </Button>
        <Button writes onClick={onCarry}>
          <kbd>M</kbd>Move
        </Button>
      </div>
      {measuring && <ActDialogFor stockId={slot.stockId} kind="housed" onClose={() => setMeasuring(false)} />}
    </>
  );
}

const word = <T extends string>(words: readonly (readonly [T, string])[], key: T) =>
  words.find(([k]) => k === key)?.[1] ?? '';

function Row({ term, children }: { term: string; children: React.ReactNode }) {
  return (
    <div className="grid grid-cols-[84px_minmax(0,1fr)] gap-2 border-t border-line py-1.5">
      <dt className="font-semibold">{term}</dt>
      <dd>{children}</dd>
    </div>
  );
}
