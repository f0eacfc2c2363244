import type { Schemas } from '../../api/client';
import { newId } from '../../ui/newId';

type Work = Schemas['LarderWork'];

/** A culture is started afresh. */
export const started = (feederId: string, pots: number): Schemas['LarderAct'] => ({
  kind: 'cultureStarted',
  cultureId: newId(),
  feederId,
  pots,
  ageDays: 0,
});

/** What is written into the larder's journal when a piece of work is done; none for an order, which is placed there. */
export function actOf(work: Work): Schemas['LarderAct'] | null {
  switch (work.task) {
    case 'throwAway':
      return work.cultureId === null
        ? null
        : { kind: 'cultureEnded', cultureId: work.cultureId, end: work.end ?? 'spent' };
    case 'outOfCold':
      return work.cultureId === null
        ? null
        : { kind: 'cultureChilled', cultureId: work.cultureId, intoCold: false };
    case 'start':
      return started(work.feederId, work.pots);
    case 'waterPlant':
      return work.plantId == null ? null : { kind: 'plantWatered', plantId: work.plantId };
    case 'throwLeaf':
      return work.plantId == null ? null : { kind: 'plantEnded', plantId: work.plantId };
    case 'order':
    case 'cutLeaf':
    case 'buyPlant':
      return null;
  }
}

/** The button that says that it is done. */
export const doneWord: Record<Work['task'], string> = {
  throwAway: 'Thrown away',
  outOfCold: 'Taken out',
  start: 'Started',
  order: 'To the larder',
  waterPlant: 'Watered',
  throwLeaf: 'Thrown away',
  cutLeaf: 'To the larder',
  buyPlant: 'To the larder',
};
