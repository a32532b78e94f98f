import { boolean, char, customType, decimal, foreignKey, type AnyMySqlColumn } from 'drizzle-orm/mysql-core';

export const id = () => char('id', { length: 36 }).primaryKey();
/** A length that someone typed or measured, mm. */
export const lengthMm = (name: string) => decimal(name, { precision: 9, scale: 4, mode: 'number' });
export const dose = (name: string) => decimal(name, { precision: 7, scale: 3, mode: 'number' });
export const tempC = (name: string) => decimal(name, { precision: 5, scale: 2, mode: 'number' });
export const altitudeM = (name: string) => decimal(name, { precision: 7, scale: 2, mode: 'number' });
export const share = (name: string) => decimal(name, { precision: 6, scale: 4, mode: 'number' });
const WHOLE_SECONDS = 'YYYY-MM-DD HH:MM:SS'.length;
/** A moment as the contract has it, ISO 8601 in UTC, to the millisecond. */
export const instant = customType<{ data: string; driverData: string }>({
  dataType: () => 'datetime(3)',
  toDriver: (iso) => new Date(iso).toISOString().slice(0, -1).replace('T', ' '),
  // A prepared statement answers no thousandths where there are none.
  fromDriver: (text) => `${text.replace(' ', 'T')}${text.length === WHOLE_SECONDS ? '.000' : ''}Z`,
});
/** A word that is the same only letter for letter: nobody else's opens by another case. */
export const exactly = (name: string, length: number) =>
  customType<{ data: string; driverData: string }>({
    dataType: () => `varchar(${length}) character set ascii collate ascii_bin`,
  })(name);
/** A document of the contract, kept as JSON. The database has no type of its own for it and answers text. */
export const document = <Data>() =>
  customType<{ data: Data; driverData: string }>({
    dataType: () => 'longtext',
    toDriver: (data) => JSON.stringify(data),
    fromDriver: (text) => JSON.parse(text) as Data,
  });
/** As ISO 4217 has it. */
export const currency = () => char('currency', { length: 3 });
export const demo = () => boolean('demo').notNull().default(false);

/** A foreign key that carries the studio along, so that no row can hang on another studio's. */
export function owned(
  name: string,
  columns: [AnyMySqlColumn, AnyMySqlColumn],
  foreignColumns: [AnyMySqlColumn, AnyMySqlColumn],
  onDelete: 'cascade' | 'restrict',
) {
  return foreignKey({ name, columns, foreignColumns: foreignColumns as never }).onDelete(onDelete);
}
