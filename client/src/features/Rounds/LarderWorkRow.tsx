import { Writes } from '../../ui/Writes';
import { Button } from '../../ui/Button';
import { Link } from 'react-router';
import type { Schemas } from '../../api/client';
import { useLogInLarder } from '../Larder/queries';
import { actOf, doneWord } from '../Larder/larderWork';
import { WhyLink } from '../Larder/WhyLink';
import { useWaits } from '../Outbox/useWaits';
import { newId } from '../../ui/newId';
import { WaitsLine } from './WaitsLine';

/** Cultures and orders that fall on the night: found from the larder, not planned by the keeper. */
export function LarderWorkRow({ work }: { work: Schemas['LarderWork'] }) {
  const log = useLogInLarder('button');
  const act = actOf(work);
  const waits = useWaits()(work.text);
  if (waits !== null) {
    return (
      <li className="flex min-h-9 items-center py-0.5 pr-6 pl-[46px] max-sm:px-4 max-sm:py-2">
        <WaitsLine title={work.text} what={waits} />
      </li>
    );
  }

  return (
    <li className="flex min-h-9 flex-wrap items-center gap-x-3 gap-y-1 py-0.5 pr-6 pl-[46px] max-sm:px-4 max-sm:py-2">
      <span className="min-w-0 flex-1 basis-60 max-sm:basis-full">
        <LarderWorkText work={work} />
      </span>
      <WhyLink of={work.text} summary={`${work.text}: ${work.because}`} reasons={work.reasons} />
      {act === null ? (
        <Writes>
          <Link to="/larder" className="act min-h-8! px-3 touch:min-h-11!">
            {doneWord[work.task]}
            <span className="sr-only">: {work.text}</span>
          </Link>
        </Writes>
      ) : (
        <Button
          writes
          small
          disabled={log.isPending}
          onClick={() =>
            log.mutate({ id: newId(), act, text: `${work.text}: ${doneWord[work.task].toLowerCase()}` })
          }
        >
          {doneWord[work.task]}
          <span className="sr-only">: {work.text}</span>
        </Button>
      )}
    </li>
  );
}

/** What is to be done and how long it takes; why it falls on this night stands in the drawer, or here when it is short. */
export function LarderWorkText({ work }: { work: Schemas['LarderWork'] }) {
  const about = [
    work.cultureId === null && work.feederId !== '' ? '' : work.because,
    work.minutes === 0 ? '' : `${Math.ceil(work.minutes)} min`,
  ]
    .filter((part) => part !== '')
    .join(' · ');
  return (
    <>
      <b className="font-semibold">{work.text}</b>
      <small className="ml-2 text-13 text-muted max-sm:ml-0 max-sm:block">{about}</small>
    </>
  );
}
