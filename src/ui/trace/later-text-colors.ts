'use client'

import { later } from '../kit'

/** Fetched in a quiet moment: it brings the readers of texts, which nothing else at the start needs. */
export const TextColors = later(() => import('./text-colors').then((module) => module.TextColors))
