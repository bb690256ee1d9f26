import { ternFrame } from '@demo/tern/frame'
import fc from 'fast-check'
import { over } from '@/core/color'
import { applyEdit, type Edit } from '@/core/edit'
import { failingInSite } from '@/core/generate'
import { rolePairs } from '@/core/elements'
import { decisionColor } from '@/core/resolve'
import type { RoleId } from '@/core/roles'
import { siteDocs, themesInOrder, type Frame } from '@/core/site'
import { referenceContrast, seenGroundsOf } from '@/core/theme/reference.fixture'
import { basisOf } from './basis'
import { applyingEdit, outlookOf } from './outlook'
import { trialOfOriginal, trialOfShift } from './trial'
import { trialOfList } from './trial-of-list'

const names = { namer: () => 'Made-up name', isOutdated: () => false }
const done = (frame: Frame, ...edits: Edit[]): Frame =>
  edits.reduce<Frame>((now, edit) => {
    const result = applyEdit(siteDocs(now), edit)
    if (!result.ok) throw new Error(result.problem)
    return result.docs.frame
  }, frame)

const list =
  'Chalk #fbf8f1\nFog #dfe6e9\nHarbour #27496d\nRust #c0562f\nSlate #6b7280\nNight #14213d'

test('what a trial would leave hard to read is counted, and themes made anew are offered where that helps', () => {
  const trial = trialOfList(basisOf(ternFrame), list)
  const outlook = outlookOf(ternFrame, trial)
  const { light } = failingInSite(ternFrame)
  expect(outlook.now).toBe(light.length)
  expect(outlook.then).toBeGreaterThan(outlook.now)
  expect(outlook.thenAnew).toBeLessThan(outlook.then)
  expect(outlook.anew).toBe(true)
  expect(outlookOf(ternFrame, { ...trial, themesAnew: false }).frame.themes).toEqual(
    ternFrame.themes,
  )
})

test('palette and themes are applied in one edit, which leaves what was counted', () => {
  const trial = trialOfList(basisOf(ternFrame), list)
  const edit = applyingEdit(ternFrame, trial, 'A list', names)
  const after = done(ternFrame, edit)
  expect(failingInSite(after).light).toHaveLength(outlookOf(ternFrame, trial).thenAnew)
  // What a person decided stays.
  const [paper] = Object.values(ternFrame.themes.byId)
  for (const role of paper!.hand)
    expect(after.themes.byId[paper!.id]!.roles[role]).toEqual(paper!.roles[role])
})

test('back to the design brings its themes too, those decided by hand as they came', () => {
  const changed = done(
    ternFrame,
    applyingEdit(ternFrame, trialOfList(basisOf(ternFrame), list), 'A list', names),
  )
  expect(changed.themes).not.toEqual(ternFrame.themes)
  const back = trialOfOriginal(changed.palette)
  expect(outlookOf(changed, back).anew).toBe(true)
  const { byId } = done(changed, applyingEdit(changed, back, 'Back', names)).themes
  for (const [id, { roles, hand }] of Object.entries(ternFrame.themes.byId)) {
    expect(byId[id as keyof typeof byId]!.roles).toEqual(roles)
    expect([...byId[id as keyof typeof byId]!.hand].sort()).toEqual([...hand].sort())
  }
  expect(outlookOf(changed, { ...back, themesAnew: false }).frame.themes).toEqual(changed.themes)
})

test('a palette that does not move changes nothing', () => {
  const still = trialOfShift(ternFrame.palette, { light: 0, vivid: 0, warm: 0 }, [])
  const { now, then } = outlookOf(ternFrame, still)
  expect(then).toBe(now)
})

/** Roles of themes that are hard to read somewhere, counted with wcag-contrast on the bytes that are painted. */
function hardToRead({ palette, themes }: Frame): number {
  return themesInOrder(themes).reduce((all, theme) => {
    const color = (role: RoleId) => decisionColor(palette, theme.roles[role])
    const failing = rolePairs.filter(({ role, on, needs }) =>
      seenGroundsOf(color, on).some(
        (ground) => referenceContrast(over(color(role), ground), ground) < needs,
      ),
    )
    return all + new Set(failing.map(({ role }) => role)).size
  }, 0)
}

test('any palette, moved in any way, leaves what was counted hard to read (wcag-contrast)', () => {
  const byte = fc.integer({ min: 0, max: 255 })
  const color = fc
    .tuple(byte, byte, byte, fc.option(fc.constantFrom('80', 'c0'), { freq: 6 }))
    .map(
      ([r, g, b, a]) =>
        `#${[r, g, b].map((n) => n.toString(16).padStart(2, '0')).join('')}${a ?? ''}`,
    )
  const part = fc.integer({ min: -100, max: 100 })
  const shift = fc.record({ light: part, vivid: part, warm: part })
  const { order } = ternFrame.palette
  const colors = fc.array(color, { minLength: order.length, maxLength: order.length })
  fc.assert(
    fc.property(colors, shift, fc.subarray([...order]), (values, moved, stays) => {
      const frame = done(
        ternFrame,
        ...order.map((slot, i): Edit => ({ type: 'setSlot', slot, value: values[i]! })),
      )
      for (const themesAnew of [false, true]) {
        const trial = { ...trialOfShift(frame.palette, moved, stays), themesAnew }
        const { now, then, thenAnew, anew } = outlookOf(frame, trial)
        const after = done(frame, applyingEdit(frame, trial, 'Brighter', names))
        expect(now).toBe(hardToRead(frame))
        expect(anew ? thenAnew : then).toBe(hardToRead(after))
      }
    }),
    { seed: 20261127, numRuns: 50 },
  )
})
