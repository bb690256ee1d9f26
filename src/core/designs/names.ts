/** What designs are called, for whom they are and in which mood: told without fetching the designs themselves. */
export const designNames = [
  {
    id: 'wheelhouse',
    name: 'Wheelhouse',
    trade: 'a bicycle workshop',
    mood: 'dense and practical',
  },
  { id: 'still-water', name: 'Still Water', trade: 'a practice', mood: 'quiet, with much room' },
  { id: 'loud-june', name: 'Loud June', trade: 'a weekend of music', mood: 'loud and bright' },
  { id: 'late-kitchen', name: 'Late Kitchen', trade: 'a restaurant', mood: 'dark and warm' },
  {
    id: 'plain-sheet',
    name: 'Plain Sheet',
    trade: 'an office for buildings',
    mood: 'nearly without colour',
  },
  { id: 'green-crate', name: 'Green Crate', trade: 'a market garden', mood: 'friendly and full' },
  { id: 'small-notes', name: 'Small Notes', trade: 'a music school', mood: 'round and playful' },
  { id: 'good-order', name: 'Good Order', trade: 'an accountant', mood: 'sober and clear' },
] as const

export type DesignId = (typeof designNames)[number]['id']
