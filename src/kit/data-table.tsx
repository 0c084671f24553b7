import type { ReactNode } from 'react';

interface Row {
  readonly key: string;
  /** The first is a name and stands on the left, the others are numbers. */
  readonly cells: readonly ReactNode[];
  readonly title?: string;
  readonly chosen?: boolean;
}

interface DataTableProps {
  readonly head: readonly string[];
  readonly rows: readonly Row[];
  /** Cells of the last row, which sums up. */
  readonly foot?: readonly ReactNode[];
  readonly small?: boolean;
}

/** A table of numbers beside names. */
export function DataTable({ head, rows, foot, small = false }: DataTableProps) {
  const [first, ...others] = head;
  return (
    <table className={`w-full border-collapse text-right ${small ? 'text-[13px]' : ''}`}>
      <thead>
        <tr className="hint">
          <th className="text-left font-normal">{first}</th>
          {others.map((name, at) => (
            // biome-ignore lint/suspicious/noArrayIndexKey: the columns of a table are always the same
            <th key={at} className="font-normal">
              {name}
            </th>
          ))}
        </tr>
      </thead>
      <tbody className="numbers">
        {rows.map(({ key, cells, title, chosen = false }) => (
          <tr
            key={key}
            title={title}
            className={`border-rule border-t ${chosen ? 'bg-woad-pale text-woad' : ''}`}
          >
            <Cells cells={cells} />
          </tr>
        ))}
      </tbody>
      {foot !== undefined && (
        <tfoot className="numbers">
          <tr className="border-rule border-t">
            <Cells cells={foot} />
          </tr>
        </tfoot>
      )}
    </table>
  );
}

function Cells({ cells: [name, ...numbers] }: { cells: readonly ReactNode[] }) {
  return (
    <>
      <td className="py-1 text-left">{name}</td>
      {numbers.map((number, at) => (
        // biome-ignore lint/suspicious/noArrayIndexKey: the columns of a table are always the same
        <td key={at} className="pl-2">
          {number}
        </td>
      ))}
    </>
  );
}
