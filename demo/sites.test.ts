import { contrast, over } from '@/core/color'
import { decisionColor } from '@/core/resolve'
import { rolePairs } from '@/core/theme'
import { demoSites } from './sites'

describe('demo themes', () => {
  const failing = demoSites.flatMap(({ frame }) =>
    Object.values(frame.themes.byId).flatMap((theme) =>
      rolePairs.flatMap(({ role, on, needs }) => {
        const ground = decisionColor(frame.palette, theme.roles.ground)
        const under = over(decisionColor(frame.palette, theme.roles[on]), ground)
        const ratio = contrast(decisionColor(frame.palette, theme.roles[role]), under)
        return ratio < needs ? [`${theme.name}: ${role} on ${on} ${ratio.toFixed(2)}`] : []
      }),
    ),
  )
  test('only what is meant to be hard to read is', () => {
    expect(failing).toEqual([
      'On Mist: buttonHoverLabel on buttonHoverFill 3.20',
      'On Spark: mutedText on ground 1.48',
      'On Spark: mutedText on surface 1.95',
    ])
  })
})
