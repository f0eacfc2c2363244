import { useQuery } from '@tanstack/react-query';
import { api, type Schemas, take } from '../../api/client';
import { follows, keepsAnswer } from '../../api/topics';
import { useWrite } from '../../api/writing';

follows('contacts', ['contacts']);

keepsAnswer('contacts', (client, _, answer) => {
  const key = ['contacts'];
  client.setQueryData(key, answer);
  return [key];
});

/** The people outside with whom the keeper deals. */
export const useContacts = () =>
  useQuery({ queryKey: ['contacts'], queryFn: () => take(api.GET('/api/contacts')) });

export const useSayContact = () =>
  useWrite<Schemas['ContactRequest'] & { text: string }, readonly Schemas['Contact'][]>(
    ({ text, ...body }) => ({
      path: '/api/contacts/journal',
      body,
      ids: [body.id],
      topic: 'contacts',
      text,
    }),
  );
