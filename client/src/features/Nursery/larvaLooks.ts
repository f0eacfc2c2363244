import type { Schemas } from '../../api/client';

type Look = Schemas['LarvaLook'];

/** What is seen of a larva, as a keeper says it. */
export const lookWord: Readonly<Record<Look, string>> = {
  tailHorn: 'A horn on its tail',
  spines: 'Branched spines',
  warts: 'Warts with bristles',
  fleshyPegs: 'Soft fleshy pegs',
  hairy: 'Long hair',
  smooth: 'Smooth and bare',
  green: 'Green',
  black: 'Black',
  pale: 'Pale or waxy white',
  banded: 'Rings or bands',
  slantStripes: 'Slanting side stripes',
  inWeb: 'Many in one web',
  scentFork: 'A forked horn comes out when touched',
};

export const larvaLooks = Object.keys(lookWord) as Look[];
