import { keepFile } from '@/device/download';

/** Hands lines to the browser as a CSV file; what a spreadsheet would take for a formula is marked as text. */
export async function keepCsv<Column extends string>(
  name: string,
  columns: readonly Column[],
  data: readonly Record<Column, string | number>[],
): Promise<void> {
  const { default: Papa } = await import('papaparse');
  const text = Papa.unparse({ fields: [...columns], data: [...data] }, { newline: '\r\n', escapeFormulae: true });
  keepFile(`${text}\r\n`, { name, type: 'text/csv' });
}
