import { api, Refusal, take } from '../../api/client';

const number = (text: string) => Number(text.trim().replace(',', '.'));

/** Counts a brood by weight; parts are lines of "how many, mg". What is wrong is said at its field. */
export async function weighBrood(total: string, parts: string, scale: string) {
  const samples = parts
    .split('\n')
    .map((line) => line.trim().split(/\s+/))
    .filter(([count]) => count !== '')
    .map(([count = '', mg = '']) => ({ count: number(count), mg: mg === '' ? NaN : number(mg) }));
  if (samples.length === 0 || samples.some((s) => !Number.isInteger(s.count) || !Number.isFinite(s.mg))) {
    throw new Refusal('', { samples: ['Each line: a whole number and its weight in mg.'] }, 400);
  }
  const [totalMg, scaleMg] = [number(total), scale.trim() === '' ? 0 : number(scale)];
  if (total.trim() === '' || !Number.isFinite(totalMg)) {
    throw new Refusal('', { totalMg: ['Write the weight in mg.'] }, 400);
  }
  if (!Number.isFinite(scaleMg)) {
    throw new Refusal('', { scaleMg: ['Write one division of the scale in mg.'] }, 400);
  }
  return await take(api.POST('/api/calc/weighed-count', { body: { totalMg, samples, scaleMg } }));
}
