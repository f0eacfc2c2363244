import { useState } from 'react';
import type { AnimalView } from '../../api/client';
import { useRulebook } from '../../api/queries';
import { useKeys } from '../../ui/useKeys';
import { ActDialogFor } from '../Journal/ActDialogFor';
import type { FormKind } from '../Journal/acts';
import { useDone } from '../Journal/DoneContext';
import { ElseMenu } from '../Journal/ElseMenu';
import { HushAsk } from '../Hush/HushAsk';

/** The acts at the head of an animal's page. Feeding a hushed animal asks once. */
export function AnimalActs({ animal }: { animal: AnimalView }) {
  const { quick } = useDone();
  const [form, setForm] = useState<FormKind | null>(null);
  const [asking, setAsking] = useState(false);
  const [more, setMore] = useState(false);
  const name = animal.details.nickname;
  const food = animal.hush.find((line) => line.act === 'feedDead');
  const hushed = food?.verdict === 'never' || animal.meal.value.eatsNothing;
  const feed = () => (hushed ? setAsking(true) : setForm('offered'));
  // Water as it is given to this animal, what is due first; a tube is looked at, and some are given none.
  const clocks = animal.water.value.clocks;
  const tube = clocks.some((clock) => clock.way === 'tube');
  const kinds = clocks.flatMap((clock) =>
    clock.kind !== null && clock.due <= animal.tonight ? [clock.kind] : [],
  );
  const first = clocks.flatMap((clock) => clock.kind ?? [])[0];
  const water = () => {
    if (tube) {
      setForm('tubeSeen');
    } else if (first !== undefined) {
      const given = kinds.length > 0 ? [...new Set(kinds)] : [first];
      quick(
        animal.stockId,
        name,
        given.map((kind) => ({ kind: 'watered' as const, water: kind })),
      );
    }
  };
  const group = useRulebook().data?.groups.find((g) => g.id === animal.details.group);
  const { signs } = animal.line;
  const molts = group?.moltsFollowed === true;
  useKeys({
    f: feed,
    w: water,
    ...(signs ? { s: () => setForm('signSeen') } : {}),
    ...(molts ? { m: () => setForm('molted') } : {}),
    e: () => setMore(true),
  });
  return (
    <>
      {signs && (
        <button type="button" className="act" onClick={() => setForm('signSeen')}>
          <kbd>S</kbd>Sign seen
        </button>
      )}
      {clocks.length > 0 && (
        <button type="button" className="act" onClick={water}>
          <kbd>W</kbd>
          {tube ? 'Tube' : 'Water'}
        </button>
      )}
      {molts && (
        <button type="button" className="act" onClick={() => setForm('molted')}>
          <kbd>M</kbd>Molted
        </button>
      )}
      <ElseMenu
        stockId={animal.stockId}
        name={name}
        open={more}
        onOpenChange={setMore}
        trigger={
          <button type="button" className="act">
            <kbd>E</kbd>Something else
          </button>
        }
      />
      <button type="button" className={`act ${hushed ? 'act-hushed' : 'act-first'}`} onClick={feed}>
        <kbd>F</kbd>
        {hushed ? 'Feed: hushed' : 'Feed'}
      </button>
      {form !== null && <ActDialogFor stockId={animal.stockId} kind={form} onClose={() => setForm(null)} />}
      {asking && (
        <HushAsk
          animal={animal}
          care="feedDead"
          happened="It was fed already: log it"
          onHappened={() => setForm('offered')}
          onClose={() => setAsking(false)}
        />
      )}
    </>
  );
}
