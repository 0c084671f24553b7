import type { Hand, PRINT_REFUSALS, PrintAnswer, PrintOrder } from '../../contracts/print-house.ts';

/** What a print house knows of an order. */
export interface TableOrder extends PrintAnswer {
  readonly order: PrintOrder;
  /** Which it is of all that came, from 0. */
  readonly turn: number;
}

/** What a print house knows: its orders, and what keeps it from going on. */
export interface Table {
  readonly orders: readonly TableOrder[];
  readonly trouble: PrintAnswer['trouble'];
}

export const EMPTY_TABLE: Table = { orders: [], trouble: '' };

/** Takes an order; one whose key is known already stays as it is. */
export function take(table: Table, key: string, order: PrintOrder): Table {
  if (find(table, key) !== undefined) return table;
  const taken: TableOrder = {
    key,
    order,
    turn: table.orders.length,
    state: 'taken',
    printed: 0,
    length: order.length,
    trouble: '',
    refusal: '',
  };
  return { ...table, orders: [...table.orders, taken] };
}

export function find({ orders }: Table, key: string): TableOrder | undefined {
  return orders.find((each) => each.key === key);
}

/** Says that an order's file was looked at: it is printed when its turn comes, or refused. */
export function judge(
  table: Table,
  key: string,
  refusal: (typeof PRINT_REFUSALS)[number] | undefined,
): Table {
  return change(table, key, (order) =>
    order.state !== 'taken'
      ? order
      : refusal === undefined
        ? { ...order, state: 'checked' }
        : { ...order, state: 'refused', refusal },
  );
}

/** Takes an order back: what was printed of it stays printed, no more is. */
export function callOff(table: Table, key: string): Table {
  return change(table, key, (order) =>
    order.state === 'done' || order.state === 'refused'
      ? order
      : { ...order, state: 'called-off', trouble: '' },
  );
}

/** What a hand does at the table. A lost line is nothing of the table's. */
export function handle(table: Table, hand: Hand): Table {
  if (hand === 'line') return table;
  return { ...table, trouble: hand === 'mend' ? '' : hand };
}

/**
 * What was printed meanwhile: one order at a time, in their turn, each laid on the table first. Trouble stops it where it is.
 * @param millimetres  of cloth that went through
 */
export function advance(table: Table, millimetres: number): Table {
  const current = onTable(table);
  if (current === undefined) return table;
  return change(table, current.key, (order) => {
    if (order.state === 'checked') return { ...order, state: 'on-the-table' };
    if (table.trouble !== '') return { ...order, trouble: table.trouble };
    const printed = Math.min(order.length, order.printed + millimetres);
    return { ...order, trouble: '', printed, state: printed === order.length ? 'done' : 'printing' };
  });
}

/** The order that is printed now, or the next one. */
function onTable({ orders }: Table): TableOrder | undefined {
  const going = orders.find(({ state }) => state === 'on-the-table' || state === 'printing');
  return going ?? orders.find(({ state }) => state === 'checked');
}

function change(table: Table, key: string, to: (order: TableOrder) => TableOrder): Table {
  return { ...table, orders: table.orders.map((each) => (each.key === key ? to(each) : each)) };
}
