import { writeRatio } from '@/core/color'
import { themeReading } from '@/core/resolve'
import { themesInOrder } from '@/core/site'
import { roleIds } from '@/core/theme'
import { demoSites } from './sites'

test('of the demo themes, only what is meant to be hard to read is', () => {
  const failing = demoSites.flatMap(({ frame }) =>
    themesInOrder(frame.themes).flatMap((theme) =>
      roleIds.flatMap((role) => {
        const reading = themeReading(frame.palette, theme, role)
        return reading && !reading.passes
          ? [`${theme.name}: ${role} ${writeRatio(reading.ratio)}`]
          : []
      }),
    ),
  )
  expect(failing).toEqual(['On Mist: buttonHoverLabel 3.1', 'On Spark: mutedText 1.4'])
})
