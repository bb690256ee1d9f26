import { demoSites } from '@demo/sites'
import { ternFrame } from '@demo/tern/frame'
import { roleIds } from '../roles'
import { isBound, themesInOrder } from '../site'
import { readThemes } from './read-themes'
import { writeTokens } from './tokens'

const file = writeTokens(ternFrame.palette, ternFrame.themes, 'object')

test('on the palette it was written from, every decision comes back', () => {
  const { themes, problems } = readThemes(file, ternFrame.palette)
  expect(problems).toEqual([])
  expect(themes.map(({ name }) => name)).toEqual(
    themesInOrder(ternFrame.themes).map(({ name }) => name),
  )
  themesInOrder(ternFrame.themes).forEach((theme, i) => {
    expect(themes[i]!.missing).toEqual([])
    expect(themes[i]!.roles).toEqual(theme.roles)
  })
})

test('on another palette, what it has no slot for is loose', () => {
  const { themes } = readThemes(file, demoSites[1]!.frame.palette)
  const decisions = themes.flatMap(({ roles }) => Object.values(roles))
  expect(decisions.some((each) => !isBound(each))).toBe(true)
  expect(decisions).toHaveLength(themes.length * roleIds.length)
})

test('unknown roles, missing ones, circles and wrong values are told; the rest is read', () => {
  const text = JSON.stringify({
    palette: { $type: 'color', Ink: { $value: '#111111' } },
    themes: {
      $type: 'color',
      one: {
        $description: 'On One',
        ground: { $value: '{palette.Ink}' },
        sparkle: { $value: '#ff00ff' },
        link: { $value: '{themes.one.link}' },
        heading: { $value: 12 },
        text: { $value: '#fafafa' },
      },
    },
  })
  const { themes, problems } = readThemes(text, ternFrame.palette)
  expect(themes).toHaveLength(1)
  expect(themes[0]).toMatchObject({
    name: 'On One',
    roles: { ground: { slot: 'ink' }, text: { value: '#fafafa' } },
  })
  expect(themes[0]!.missing).toContain('link')
  expect(problems).toEqual([
    { code: 'unknown-role', where: 'themes.one.sparkle' },
    { code: 'cyclic-alias', where: 'themes.one.link' },
    { code: 'not-a-color', where: 'themes.one.heading' },
  ])
})

test('no JSON, and a file without themes', () => {
  expect(readThemes('nope', ternFrame.palette).problems).toEqual([{ code: 'bad-json' }])
  expect(readThemes('{"palette": {}}', ternFrame.palette).problems).toEqual([{ code: 'no-themes' }])
})
