/** A row as the contract has it: whose it is goes without saying. */
export function withoutStudio<Row extends { studioId: string }>(row: Row): Omit<Row, 'studioId'> {
  const { studioId: _, ...rest } = row;
  return rest;
}

/** Groups rows by a key, keeping their order. */
export function groupBy<Row>(rows: readonly Row[], keyOf: (row: Row) => string): Map<string, Row[]> {
  const groups = new Map<string, Row[]>();
  for (const row of rows) {
    const group = groups.get(keyOf(row));
    if (group) group.push(row);
    else groups.set(keyOf(row), [row]);
  }
  return groups;
}
