import { useState } from 'react';
import { Button } from '../../ui/Button';
import { newId } from '../../ui/newId';
import { useLogChore } from '../Chores/queries';

interface Props {
  name: string;
  programme: string;
  tonight: string;
}

const longestTitle = 80;
const longestKit = 120;

/** Plans a weekly look at her cool or dry weeks; what is read there is held against them by itself. */
export function PlanSeason({ name, programme, tonight }: Props) {
  const log = useLogChore('button');
  const [planned, setPlanned] = useState(false);
  return planned ? (
    <p className="text-13 text-mosstext">
      A weekly look is planned; the desk counts the weeks by the readings.
    </p>
  ) : (
    <Button
      writes
      kind="link"
      className="text-13"
      disabled={log.isPending}
      onClick={() =>
        log.mutate(
          {
            id: newId(),
            act: {
              kind: 'chorePlanned',
              choreId: newId(),
              plan: {
                kind: 'own',
                title: `${name} in her season: read the temperature`.slice(0, longestTitle),
                where: '',
                starts: tonight,
                everyDays: 7,
                season: null,
                kit: programme.slice(0, longestKit),
                minutes: 3,
              },
            },
            text: `${name}: season planned`,
          },
          { onSuccess: () => setPlanned(true) },
        )
      }
    >
      Plan her season
    </Button>
  );
}
