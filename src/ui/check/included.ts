import type { Edition } from '@/core/site'

/** What a check of contrast takes in beside things at rest: the dark edition only where the site has one. */
export const includedWords = (edition: Edition): string =>
  edition === 'light' ? 'hover included' : 'hover and dark edition included'
