import { bodyUses } from './body-uses'
import type { PlaceReader } from './reading'

export const readContent: PlaceReader = (reading) =>
  reading.page ? bodyUses('content', reading, reading.page.body) : []
