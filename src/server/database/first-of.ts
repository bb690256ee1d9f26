import type { FindOptions, Model, ModelStatic } from 'sequelize'

/**
 * The first row that fits, or null. Sequelize's own `findOne` leaves LIMIT out where a condition
 * names the first part of a composite key, and then reads every row of a site.
 */
export const firstOf = <Row extends Model>(
  model: ModelStatic<Row>,
  options: FindOptions<Row['_attributes']>,
): Promise<Row | null> => model.findAll({ ...options, limit: 1 }).then(([row]) => row ?? null)
