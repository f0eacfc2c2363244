import { useQuery } from '@tanstack/react-query';
import { api, type Schemas, take } from '../../api/client';
import { follows } from '../../api/topics';
import { useAsk, useWrite } from '../../api/writing';

follows('rulebook', ['rules', 'settings'], 'first');
follows('species', ['rules', 'journal', 'settings'], 'first');
follows('rule', ['rules', 'settings']);
follows('lessons', ['journal', 'climate', 'rules', 'settings']);

export const useRulebook = () =>
  useQuery({
    queryKey: ['rulebook'],
    queryFn: () => take(api.GET('/api/rulebook')),
    staleTime: Number.POSITIVE_INFINITY,
  });

export const useSpecies = (id: string) =>
  useQuery({
    queryKey: ['species', id],
    queryFn: () => take(api.GET('/api/rulebook/species/{id}', { params: { path: { id } } })),
  });

export const useRule = (name: string, stockId: string, enabled: boolean) =>
  useQuery({
    enabled,
    retry: false,
    queryKey: ['rule', name, stockId],
    queryFn: () => take(api.GET('/api/rulebook/rule', { params: { query: { name, stockId } } })),
  });

/** Rules that were changed here. */
export const useOverrides = () =>
  useQuery({
    queryKey: ['rulebook', 'overrides'],
    queryFn: () => take(api.GET('/api/rulebook/overrides')),
  });

export const useLessons = () =>
  useQuery({ queryKey: ['lessons'], queryFn: () => take(api.GET('/api/lessons')) });

/** What a change would move; nothing is written. */
export const usePreviewOverride = () =>
  useAsk((body: Schemas['RuleOverride']) => take(api.POST('/api/rulebook/overrides/preview', { body })));

export const useSetOverride = () =>
  useWrite<Schemas['RuleOverride'], Schemas['OverridePreview']>((body) => ({
    path: '/api/rulebook/overrides',
    body,
    ids: [body.id],
    topic: 'rules',
    text: `rule ${body.rule}`,
  }));

export const useGiveUpOverride = () =>
  useWrite<{ id: string; rule: string }, null>(
    (change) => ({
      method: 'DELETE',
      path: `/api/rulebook/overrides/${change.id}`,
      topic: 'rules',
      text: `rule ${change.rule} given up`,
    }),
    false,
  );

export const useAddSpecies = () =>
  useWrite<Schemas['SpeciesProfile'], Schemas['SpeciesSheet']>((body) => ({
    path: '/api/rulebook/species',
    body,
    about: [`species ${body.id}`],
    topic: 'rules',
    text: `species ${body.scientificName}`,
  }));
