import type { Schemas } from '../../api/client';

/** "50 × small fruit fly", "mist bottle, 12 mL", "feeding tongs". */
export function kitText(item: Schemas['KitItem']): string {
  const amount = Number(item.amount.toFixed(1));
  return amount === 0
    ? item.what
    : item.kind === 'food'
      ? `${amount} × ${item.what}`
      : `${item.what}, ${amount} ${amount === 1 && item.unit === 'dishes' ? 'dish' : item.unit}`;
}
