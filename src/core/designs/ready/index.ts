import type { DesignId } from '../names'
import { counsel } from './counsel'
import type { Design } from './design'
import { festival } from './festival'
import { garden } from './garden'
import { kitchen } from './kitchen'
import { practice } from './practice'
import { school } from './school'
import { studio } from './studio'
import { workshop } from './workshop'

/** All designs of ours to begin from. Another one is a file beside this one, a line here and its name in `names.ts`. */
const byId: Readonly<Record<DesignId, Design>> = {
  wheelhouse: workshop,
  'still-water': practice,
  'loud-june': festival,
  'late-kitchen': kitchen,
  'plain-sheet': studio,
  'green-crate': garden,
  'small-notes': school,
  'good-order': counsel,
}

export const designs: readonly Design[] = Object.values(byId)

export { designSite, type Design, type DesignSite, type Drawn } from './design'
