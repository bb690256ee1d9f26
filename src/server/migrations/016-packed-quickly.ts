import type { QueryInterface } from 'sequelize'

/** Long texts are packed while somebody waits: what is quick is better for them than what is small. */
const long = {
  contents: ['body'],
  staged_records: ['changes'],
  edit_records: ['changes'],
  plans: ['intent', 'answer'],
}

const packed = (how: string) =>
  Object.entries(long)
    .flatMap(([table, columns]) =>
      columns.map(
        (column) => `alter table ${table} alter column ${column} set compression ${how};`,
      ),
    )
    .join('\n')

/** Decisions that are exchanged everywhere are sought by their colour, which uses are found by. */
export async function up(query: QueryInterface): Promise<void> {
  await query.sequelize.query(packed('lz4'))
  await query.sequelize.query(`
    delete from staged_exchanges;
    alter table staged_exchanges add column from_color text;`)
}

export async function down(query: QueryInterface): Promise<void> {
  await query.sequelize.query(packed('default'))
  await query.sequelize.query('alter table staged_exchanges drop column from_color')
}
