import { recordKinds } from '@/core/site'
import { readersVersion } from '../uses/rows'

/**
 * The shape of records and of what is kept beside them, by their versions. Work is
 * begun for one shape: a worker left over from before an upgrade does not touch it.
 */
export const shapeOfToday = [
  ...Object.values(recordKinds).map(({ version }) => version),
  readersVersion,
].join('.')
