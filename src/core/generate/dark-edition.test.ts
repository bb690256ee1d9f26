import { ternFrame } from '@demo/tern/frame'
import { demoSites } from '@demo/sites'
import { decisionColor, failingRoles } from '../resolve'
import { themesInOrder } from '../site'
import { groundKind } from '../theme'
import { afterDark, darkEdition } from './dark-edition'
import { edited, paletteOf } from './frames.fixture'
import { generateThemes } from './generated'

describe('the dark edition', () => {
  const ramps = [['#777777'], ['#d65a2a'], ['#ffffff', '#3b5bdb'], ['#00000080', '#ffffff']]

  test.each(demoSites.map(({ frame }) => [frame.name, frame] as const))(
    '%s: every ground is dark or vivid, every pair reads',
    (_, frame) => {
      const dark = darkEdition(frame)
      const after = afterDark(edited(frame, { type: 'setEdition', edition: 'visitor', dark }))
      const themes = themesInOrder(after.themes)
      expect(failingRoles(after.palette, themes)).toEqual([])
      for (const { roles } of themes) {
        expect(groundKind(decisionColor(after.palette, roles.ground))).not.toBe('pale')
      }
    },
  )

  test.each(ramps)('any palette: %j', (...values) => {
    const own = paletteOf(...values)
    const themes = generateThemes(own)
    const frame = {
      ...ternFrame,
      palette: own,
      themes: {
        order: themes.map(({ id }) => id),
        byId: Object.fromEntries(themes.map((each) => [each.id, each])),
      },
    }
    const after = afterDark(
      edited(frame, { type: 'setEdition', edition: 'switch', dark: darkEdition(frame) }),
    )
    expect(failingRoles(own, themesInOrder(after.themes))).toEqual([])
  })
})
