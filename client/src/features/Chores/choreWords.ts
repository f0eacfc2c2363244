import type { Schemas } from '../../api/client';
import { dayOfYear } from '../../ui/dates';

export const kindWord: Record<Schemas['ChoreKind'], string> = {
  own: 'own',
  culture: 'cultures',
  mist: 'misting',
  cleaning: 'cleaning',
  frass: 'droppings and remains',
  calibration: 'check of an instrument',
  season: 'season',
};

/** How often: "every 7 days, 1 May – 31 Oct". */
export function rhythm(plan: Schemas['ChorePlan']): string {
  const often =
    plan.everyDays === null
      ? plan.season === null
        ? 'once'
        : 'once every year'
      : plan.everyDays === 1
        ? 'every night'
        : `every ${plan.everyDays} days`;
  const { season } = plan;
  return season === null
    ? often
    : `${often}, ${dayOfYear(season.fromMonth, season.fromDay)} – ${dayOfYear(season.toMonth, season.toDay)}`;
}
