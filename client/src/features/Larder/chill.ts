import type { Schemas } from '../../api/client';

export interface ChillPhase {
  text: string;
  look: boolean;
  tooLong: boolean;
}

/** For how many seconds a look is asked for once it is due. */
const lookSeconds = 45;

/** What to do after so many seconds in the cold. */
export function phaseOf(seconds: number, bench: Schemas['BenchRoutine']): ChillPhase {
  const [from, to, every] = [bench.chillFromMinutes, bench.chillToMinutes, bench.lookEveryMinutes].map(
    (minutes) => minutes * 60,
  ) as [number, number, number];
  if (seconds > to) {
    return { text: 'Take them out: too long kills them', look: false, tooLong: true };
  }
  if (seconds >= from && seconds % every < lookSeconds) {
    return { text: 'Look: barely moving? Tip them out quickly', look: true, tooLong: false };
  }
  const next = Math.max(from, Math.ceil((seconds + 1) / every) * every);
  return { text: `look again at ${Math.round(next / 60)} min`, look: false, tooLong: false };
}
