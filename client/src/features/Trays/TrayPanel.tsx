import { useState } from 'react';
import { Link } from 'react-router';
import type { Act, AnimalView, Schemas } from '../../api/client';
import { Button } from '../../ui/Button';
import { useDone } from '../Journal/DoneContext';
import { gradeMarks } from './grades';
import { LossDialog } from './LossDialog';
import { PromoteDialog } from './PromoteDialog';
import { SizeBars } from './SizeBars';
import { VialGrid } from './VialGrid';

type Vial = Schemas['VialView'];

interface Props {
  animal: AnimalView;
  brood: Schemas['BroodView'];
}

/** The tray of a brood as one card: all fed with one tap, the exceptions tapped; whatever else is found, by vial. */
export function TrayPanel({ animal, brood }: Props) {
  const { quick, busy } = useDone();
  const [chosen, setChosen] = useState<readonly number[]>([]);
  const [open, setOpen] = useState<'lost' | 'promote' | null>(null);
  const vials = new Map(brood.vials.map((v) => [v.number, v]));
  const { nickname } = animal.details;
  const log = (acts: readonly Act[], label: string) => {
    quick(animal.stockId, nickname, acts, { label });
    setChosen([]);
  };
  const meal = animal.line.act === 'feed' ? (animal.line.choices[0]?.acts ?? []) : [];
  const fed = () =>
    log(
      meal.map((act) =>
        act.kind === 'offered' && chosen.length > 0 ? { ...act, untaken: [...chosen] } : act,
      ),
      chosen.length === 0 ? 'all fed' : `all fed but ${chosen.length}`,
    );
  const many = chosen.length;
  return (
    <section aria-labelledby="tray" className="mt-3 border-t border-line pt-2">
      <h3 id="tray" className="text-15 font-semibold">
        The tray
      </h3>
      {brood.empty > 0 && (
        <p className="border-l-2 border-lampmark pl-2 text-13">
          {brood.empty} of these vials must be empty: say from which when one dies or leaves.
        </p>
      )}
      <div className="grid grid-cols-[minmax(0,1fr)_auto] gap-x-8 max-lg:grid-cols-1">
        <div className="min-w-0">
          <VialGrid
            vials={brood.vials.map((v) => v.number)}
            chosen={chosen}
            onChange={setChosen}
            legend="Tap vials, then say what is with them"
            means="is chosen"
            mark={(number) => <Mark vial={vials.get(number)} />}
          />
          <p className="mt-1 text-12 text-muted">
            ◦ molted lately, no food · +1 a molt ahead · ! left its food · {gradeMarks.fast.mark} fast,{' '}
            {gradeMarks.slow.mark} slow, {gradeMarks.runt.mark} runt
          </p>
        </div>
        <SizeBars brood={brood} tonight={animal.tonight} />
      </div>
      <div role="toolbar" aria-label="With the vials" className="mt-2 flex flex-wrap gap-2">
        {meal.length > 0 && (
          <Button writes kind="first" disabled={busy} onClick={fed}>
            {many === 0 ? 'All fed' : `All fed but these ${many}`}
          </Button>
        )}
        <Button
          writes
          disabled={busy || many === 0}
          onClick={() => log([{ kind: 'vialsMolted', vials: [...chosen] }], `${many} molted`)}
        >
          Skin found
        </Button>
        <Button writes disabled={many === 0} onClick={() => setOpen('lost')}>
          Dead…
        </Button>
        <Button writes disabled={many === 0} onClick={() => setOpen('promote')}>
          A record of its own…
        </Button>
        {many > 0 && (
          <Button kind="link" className="text-13" onClick={() => setChosen([])}>
            none
          </Button>
        )}
        {meal.length === 0 && animal.meal.value.due !== null && (
          <span className="self-center text-13 text-muted">
            No meal is due tonight;{' '}
            <Link to="/" className="linkish">
              the round
            </Link>{' '}
            says when.
          </span>
        )}
      </div>
      {open === 'lost' && (
        <LossDialog
          animal={animal}
          vials={chosen}
          onClose={(done) => {
            setOpen(null);
            setChosen(done ? [] : chosen);
          }}
        />
      )}
      {open === 'promote' && (
        <PromoteDialog
          animal={animal}
          vials={chosen}
          onClose={(done) => {
            setOpen(null);
            setChosen(done ? [] : chosen);
          }}
        />
      )}
    </section>
  );
}

function Mark({ vial }: { vial: Vial | undefined }) {
  if (vial === undefined) {
    return null;
  }
  const marks = [
    vial.isSoft ? '◦' : vial.ahead > 0 ? `+${vial.ahead}` : '',
    vial.mealsLeft > 0 ? '!' : '',
    gradeMarks[vial.grade].mark,
  ].join('');
  const words = [
    vial.isSoft ? 'molted lately' : '',
    vial.ahead > 0 ? `${vial.ahead} molt${vial.ahead === 1 ? '' : 's'} ahead of the others` : '',
    vial.mealsLeft > 0 ? `left ${vial.mealsLeft} meals` : '',
    vial.grade === 'middling' ? '' : gradeMarks[vial.grade].word,
  ].filter((w) => w !== '');
  return marks === '' ? null : (
    <span title={words.join(', ')} className="ml-0.5 text-12">
      {marks}
    </span>
  );
}
