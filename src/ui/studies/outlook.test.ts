import { ternFrame } from '@demo/tern/frame'
import { applyEdit, type Edit } from '@/core/edit'
import { failingInSite } from '@/core/generate'
import { siteDocs, type Frame } from '@/core/site'
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
