import { writeRatio } from '@/core/color'
import { failingRoles } from '@/core/resolve'
import { themesInOrder } from '@/core/site'
import { demoSites } from './sites'

test('of the demo themes, only what is meant to be hard to read is', () => {
  const failing = demoSites.flatMap(({ frame }) =>
    failingRoles(frame.palette, themesInOrder(frame.themes)).map(
      ({ theme, role, reading }) => `${theme.name}: ${role} ${writeRatio(reading.ratio)}`,
    ),
  )
  expect(failing).toEqual(['On Mist: buttonHoverLabel 3.1', 'On Spark: mutedText 1.4'])
})
