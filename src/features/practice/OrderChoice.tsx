'use client';

import { Choice } from '@/ui/choices';
import { Small } from '@/ui/type';

const PLACES = ['First', 'Second', 'Last'] as const;
export type Order = readonly [string, string, string];
export const NO_ORDER: Order = ['', '', ''];

/** Which code came when. Arrows walk over codes that stand elsewhere: a double is said, not mended. */
export function OrderChoice({
  codes,
  order,
  onChange,
}: {
  codes: readonly string[];
  order: Order;
  onChange: (order: Order) => void;
}) {
  const put = (code: string, at: number) =>
    onChange(order.map((there, i) => (i === at ? code : there)) as unknown as Order);
  const given = order.filter((code) => code !== '');
  return (
    <>
      {PLACES.map((place, at) => (
        <Choice
          key={place}
          label={`${place} cup`}
          value={order[at]!}
          onChange={(code) => put(code, at)}
          options={codes.map((code) => ({ value: code, label: code }))}
        />
      ))}
      {new Set(given).size < given.length && <Small role="status">Each cup came once.</Small>}
    </>
  );
}

/** Every place has a cup of its own. */
export function isWhole(order: Order): boolean {
  return order.every((code, i) => code !== '' && order.indexOf(code) === i);
}
