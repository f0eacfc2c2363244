import { useQuery } from '@tanstack/react-query';
import { api, type Schemas, take } from '../../api/client';
import { follows, keepsAnswer } from '../../api/topics';
import { useWrite } from '../../api/writing';

follows('climate', ['climate']);

keepsAnswer('climate', (client, _, answer) => {
  const key = ['climate'];
  client.setQueryData(key, answer);
  return [key];
});

export const useClimate = () =>
  useQuery({ queryKey: ['climate'], queryFn: () => take(api.GET('/api/climate')) });

export const useAddReading = () =>
  useWrite<Schemas['ReadOff'] & { id: string }, readonly Schemas['ClimateReading'][]>((body) => ({
    path: '/api/climate',
    body,
    ids: [body.id],
    topic: 'climate',
    text: `${body.temperatureC} °C read off`,
  }));
