import { bodyUses } from './body-uses'
import type { PlaceReader } from './reading'

export const readShared: PlaceReader = (reading) =>
  reading.frame ? bodyUses('shared', reading, reading.frame.body) : []
