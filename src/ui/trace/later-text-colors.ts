'use client'

import { later } from '../kit'

/** The code of a snippet; fetched in a quiet moment as well. */
export const SnippetCode = later(() =>
  import('./snippet-code').then((module) => module.SnippetCode),
)

/** Fetched in a quiet moment: it brings the readers of texts, which nothing else at the start needs. */
export const TextColors = later(() => import('./text-colors').then((module) => module.TextColors))
