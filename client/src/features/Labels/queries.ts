import { useQuery } from '@tanstack/react-query';
import { api, type Schemas, take } from '../../api/client';
import { queryClient } from '../../api/queryClient';
import { useAsk } from '../../api/writing';

export const useLabels = () =>
  useQuery({ queryKey: ['labels'], queryFn: () => take(api.GET('/api/labels')) });

/** The sheet as a file to open. */
export const fetchLabelSheet = async (body: Schemas['LabelRequest']): Promise<Blob> =>
  await take(api.POST('/api/labels/pdf', { body, parseAs: 'blob' }));

const printerChanged = () => queryClient.invalidateQueries({ queryKey: ['labels'] });

export const usePrintLabels = () =>
  useAsk((body: Schemas['LabelRequest']) => take(api.POST('/api/labels/print', { body })), printerChanged);

export const useLoadRoll = () =>
  useAsk((body: Schemas['RollRequest']) => take(api.POST('/api/labels/roll', { body })), printerChanged);
