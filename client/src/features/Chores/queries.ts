import { useQuery } from '@tanstack/react-query';
import { api, type Schemas, take } from '../../api/client';
import { follows, keepsAnswer } from '../../api/topics';
import { useWrite } from '../../api/writing';

follows('chores', ['chores', 'settings']);

keepsAnswer('chores', (client, _, answer) => {
  const key = ['chores'];
  client.setQueryData(key, answer);
  return [key];
});

export const useChores = () =>
  useQuery({ queryKey: ['chores'], queryFn: () => take(api.GET('/api/chores')) });

/** Logs what is told in a form; or at once from a button, where a refusal is set aside. */
export const useLogChore = (from: 'form' | 'button' = 'form') =>
  useWrite<Schemas['ChoreRequest'] & { text: string }, Schemas['ChoresView']>(
    ({ text, ...body }) => ({
      path: '/api/chores/journal',
      body,
      ids: [body.id],
      topic: 'chores',
      text,
    }),
    from === 'form',
  );
