/**
 * Where a colour can hide, what visitors see first before the rest. Each place has a reader, in a
 * file of its own and in the table beside this one; its name is known without what it takes to read it.
 */
export const placeNames = {
  palette: 'Palette',
  content: 'Page content',
  shared: 'Header and footer',
  themes: 'Themes',
  styles: 'Element styles',
  embeds: 'Embedded snippets',
  'custom-css': 'Custom CSS',
  'add-ons': 'Add-on settings',
  pictures: 'Vector pictures',
} as const

export type PlaceId = keyof typeof placeNames

export const placeIds = Object.keys(placeNames) as PlaceId[]
