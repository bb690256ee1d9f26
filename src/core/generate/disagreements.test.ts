import { ternFrame } from '@demo/tern/frame'
import { disagreements } from './disagreements'
import { edited, theme } from './frames.fixture'

test('a loose colour among themes that agree is told, with what they have', () => {
  const found = disagreements(ternFrame)
  expect(found).toContainEqual(
    expect.objectContaining({
      role: 'buttonHoverFill',
      odd: [expect.objectContaining({ theme: theme('on-mist') })],
    }),
  )
  expect(
    disagreements(
      edited(ternFrame, {
        type: 'setRole',
        themes: ['on-mist'],
        role: 'buttonHoverFill',
        decision: { slot: 'brand' },
      }),
    ),
  ).toEqual([])
})
