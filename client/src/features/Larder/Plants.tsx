import { useState } from 'react';
import type { Schemas } from '../../api/client';
import { Button } from '../../ui/Button';
import { shortDate } from '../../ui/dates';
import { Menu, MenuItem, MenuRule } from '../../ui/Menu';
import { newId } from '../../ui/newId';
import { LeafAmountDialog, type LeafAmount } from './LeafAmountDialog';
import { leafGrams } from './leafGrams';
import { PlantDays } from './PlantDays';
import { PlantDialog } from './PlantDialog';
import { useLogInLarder } from './queries';
import { WhyLink } from './WhyLink';

type Plant = Schemas['PlantView'];

interface Props {
  outlooks: readonly Schemas['AnswerOfPlantOutlook'][];
  plants: readonly Plant[];
  hosts: readonly string[];
  tonight: string;
}

const sameName = (a: string, b: string) => a.trim().toLowerCase() === b.trim().toLowerCase();

/** Food plants of larvae: how much leaf is there, who eats it, when it runs short. */
export function Plants({ outlooks, plants, hosts, tonight }: Props) {
  const [adding, setAdding] = useState(false);
  return (
    <section aria-labelledby="plants" className="mt-5">
      <div className="flex items-baseline justify-between">
        <h2 id="plants" className="text-18">
          Food plants
        </h2>
        <Button writes kind="link" onClick={() => setAdding(true)}>
          Add one
        </Button>
      </div>
      {outlooks.length > 0 && (
        <p className="text-12 text-muted">
          Hill: leaf that is left. Line: what is eaten of it each night. Dashed: it runs short.
        </p>
      )}
      {outlooks.length === 0 && (
        <p className="py-1 text-muted">No larvae eat leaf here, and no plant is written down.</p>
      )}
      <ul>
        {outlooks.map(
          ({ value: outlook, summary, reasons }) =>
            outlook !== null && (
              <li key={outlook.plant} className="border-t border-line py-2">
                <div className="grid grid-cols-[minmax(0,1fr)_220px] items-start gap-x-4 max-sm:grid-cols-1">
                  <span className={outlook.shortOn === null ? '' : 'border-l-2 border-lampmark pl-2'}>
                    {summary} <WhyLink of={`the ${outlook.plant}`} summary={summary} reasons={reasons} />
                    {outlook.eaters.length > 0 && (
                      <small className="block text-13 text-muted">
                        {outlook.eaters.map((e) => `${e.place} ${e.name}`).join(', ')}
                      </small>
                    )}
                  </span>
                  <PlantDays outlook={outlook} />
                </div>
                <ul className="mt-1">
                  {plants
                    .filter((p) => sameName(p.plant, outlook.plant))
                    .map((p) => (
                      <PlantRow key={p.id} plant={p} tonight={tonight} />
                    ))}
                </ul>
              </li>
            ),
        )}
      </ul>
      {adding && <PlantDialog hosts={hosts} onClose={() => setAdding(false)} />}
    </section>
  );
}

const formWord: Record<Schemas['PlantForm'], string> = {
  pot: 'Pot',
  cut: 'Cut, in the cold',
  site: 'Grows outside',
};

function words(plant: Plant, tonight: string): string {
  return [
    plant.grams === null ? '' : `${leafGrams(plant.grams)} of leaf`,
    plant.waterOn === null
      ? ''
      : plant.waterOn <= tonight
        ? 'water it tonight'
        : `water ${shortDate(plant.waterOn, tonight)}`,
    plant.keepsUntil === null
      ? ''
      : plant.keepsUntil <= tonight
        ? 'past its time: throw it away'
        : `keeps until ${shortDate(plant.keepsUntil, tonight)}`,
    plant.form === 'cut' && !plant.isWashed ? 'not washed yet' : '',
  ]
    .filter((part) => part !== '')
    .join(' · ');
}

function PlantRow({ plant, tonight }: { plant: Plant; tonight: string }) {
  const log = useLogInLarder('button');
  const [amount, setAmount] = useState<LeafAmount | null>(null);
  const plantId = plant.id;
  const tell = (act: Schemas['LarderAct'], what: string) => () =>
    log.mutate({ id: newId(), act, text: `${plant.plant}: ${what}` });
  return (
    <li className="flex min-h-9 items-center gap-3 py-0.5 text-13">
      <span className="min-w-0 flex-1">
        <b className="font-semibold">{formWord[plant.form]}</b>
        {plant.where !== null && `, ${plant.where}`}{' '}
        <span className="text-muted">{words(plant, tonight)}</span>
      </span>
      {plant.form === 'pot' && plant.waterOn !== null && plant.waterOn <= tonight && (
        <Button writes small onClick={tell({ kind: 'plantWatered', plantId }, 'watered')}>
          Watered<span className="sr-only">: {plant.plant}</span>
        </Button>
      )}
      <Menu
        align="end"
        trigger={
          <Button writes aria-label={`What happened to the ${plant.plant}, ${formWord[plant.form]}`}>
            …
          </Button>
        }
      >
        {plant.form === 'pot' && (
          <MenuItem letter="w" onSelect={tell({ kind: 'plantWatered', plantId }, 'watered')}>
            Watered
          </MenuItem>
        )}
        {plant.form !== 'site' && (
          <MenuItem letter="f" onSelect={() => setAmount('fed')}>
            Leaf fed from it…
          </MenuItem>
        )}
        {plant.form !== 'cut' && (
          <MenuItem letter="c" onSelect={() => setAmount('bagged')}>
            Leaf cut, bagged and chilled…
          </MenuItem>
        )}
        {plant.form !== 'site' && (
          <MenuItem letter="l" onSelect={() => setAmount('seen')}>
            How much leaf is left…
          </MenuItem>
        )}
        <MenuRule />
        <MenuItem letter="g" onSelect={tell({ kind: 'plantEnded', plantId }, 'used up or thrown away')}>
          {plant.form === 'site' ? 'No longer used' : 'Used up or thrown away'}
        </MenuItem>
      </Menu>
      {amount !== null && <LeafAmountDialog plant={plant} amount={amount} onClose={() => setAmount(null)} />}
    </li>
  );
}
