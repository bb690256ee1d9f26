import { ternFrame } from '@demo/tern/frame'
import { siteDocs, mostSlots, mostStudies, type Frame, type SlotId } from '../site'
import { applyEdit, describeEdit } from './apply'
import { editSchema, type Edit } from './edits'

const apply = (edit: unknown, frame: Frame = ternFrame) =>
  applyEdit(siteDocs(frame), editSchema.parse(edit) as Edit)
const done = (frame: Frame, ...edits: unknown[]): Frame =>
  edits.reduce<Frame>((now, edit) => {
    const result = apply(edit, now)
    if (!result.ok) throw new Error(result.problem)
    return result.docs.frame
  }, frame)
const refusal = (edit: unknown, frame: Frame = ternFrame) => {
  const result = apply(edit, frame)
  return result.ok ? undefined : result.problem
}
const slot = (id: string, { palette }: Frame = ternFrame) => palette.slots[id as SlotId]!
const value = (text: string | null, id = 'brand') => ({ type: 'setSlot', slot: id, value: text })

describe('the value of a slot', () => {
  test('leaves the earlier ones behind, newest last, each once', () => {
    const before = slot('brand').was
    const frame = done(ternFrame, value('#111111'), value('#222222'), value('#111111'))
    expect(slot('brand', frame).value).toBe('#111111')
    expect(slot('brand', frame).was.slice(-2)).toEqual(['#111111', '#222222'])
    expect(slot('brand', frame).was.length).toBe(before.length + 3)
  })

  test('can be empty; an empty one is not remembered', () => {
    const frame = done(ternFrame, value(null), value('#333333'))
    expect(slot('brand', frame).was).not.toContain(null)
    expect(slot('brand', frame).was.at(-1)).toBe(slot('brand').value)
  })

  test('only so many are remembered', () => {
    const many = Array.from({ length: 60 }, (_, i) => value(`#0000${String(i + 10)}`))
    expect(slot('brand', done(ternFrame, ...many)).was).toHaveLength(40)
  })
})

describe('slots', () => {
  test('are added at the end, up to as many as there can be', () => {
    let frame = ternFrame
    for (let i = frame.palette.order.length; i < mostSlots; i += 1) {
      frame = done(frame, { type: 'addSlot', slot: `s${i}`, name: `S ${i}`, value: null })
    }
    expect(frame.palette.order).toHaveLength(mostSlots)
    const more = { type: 'addSlot', slot: 'more', name: 'More', value: '#123456' }
    expect(refusal(more, frame)).toBe('slots-full')
    expect(refusal({ ...more, slot: 'brand' })).toBe('slot-taken')
  })

  test('stand in an order that names each once', () => {
    const order = [...ternFrame.palette.order].reverse()
    expect(done(ternFrame, { type: 'orderSlots', order }).palette.order).toEqual(order)
    expect(refusal({ type: 'orderSlots', order: order.slice(1) })).toBe('slot-gone')
    expect(done(ternFrame, { type: 'orderSlots', order: ternFrame.palette.order })).toBe(ternFrame)
  })

  test('in a group stand together; the last one that leaves ends it', () => {
    const group = (id: string, name: string | null) => ({
      type: 'groupSlot',
      slot: id,
      group: name,
    })
    const frame = done(ternFrame, group('paper', 'Grounds'), group('ink', 'Grounds'))
    const { order } = frame.palette
    expect(order.indexOf('ink' as SlotId)).toBe(order.indexOf('paper' as SlotId) + 1)
    const left = done(frame, group('paper', null), group('ink', null))
    expect(Object.values(left.palette.slots).some((each) => each.group)).toBe(false)
  })

  test('have notes; an empty one is none', () => {
    const note = (text: string) => ({ type: 'noteSlot', slot: 'brand', note: text })
    const frame = done(ternFrame, note('  For buttons. '))
    expect(slot('brand', frame).note).toBe('For buttons.')
    expect(slot('brand', done(frame, note('  ')))).not.toHaveProperty('note')
  })

  test('have shades of their own, or those of the palette', () => {
    const scale = { lighter: 3, darker: 1, step: 5 }
    const own = done(ternFrame, { type: 'setShades', slot: 'brand', scale })
    expect(slot('brand', own).shades).toEqual(scale)
    expect(
      slot('brand', done(own, { type: 'setShades', slot: 'brand', scale: null })),
    ).not.toHaveProperty('shades')
    expect(done(ternFrame, { type: 'setShades', slot: null, scale }).palette.shades).toEqual(scale)
    expect(done(ternFrame, { type: 'setShades', slot: null, scale: null })).toBe(ternFrame)
  })

  test('have steps with a colour of their own, which go back to computed', () => {
    const step = (n: number, text: string | null) => ({
      type: 'setStep',
      slot: 'brand',
      step: n,
      value: text,
    })
    const own = done(ternFrame, step(-12, '#0b3b38'), step(20, 'teal'))
    expect(slot('brand', own).steps).toEqual({ '-12': '#0b3b38', '20': 'teal' })
    expect(done(own, step(-12, null), step(20, null))).toEqual(ternFrame)
    expect(refusal(step(0, '#000000'))).toBe('step-unknown')
    const many = Array.from({ length: 24 }, (_, i) => step(i + 1, '#123456'))
    expect(refusal(step(-1, '#123456'), done(ternFrame, ...many))).toBe('steps-full')
    expect(describeEdit(step(-12, '#0b3b38') as Edit, siteDocs(ternFrame))).toBe(
      'Brand −12: #0b3b38, its own',
    )
  })

  test.each([
    [value('#111111', 'nowhere')],
    [{ type: 'setStep', slot: 'nowhere', step: 4, value: null }],
    [{ type: 'renameSlot', slot: 'nowhere', name: 'x' }],
    [{ type: 'noteSlot', slot: 'nowhere', note: 'x' }],
    [{ type: 'groupSlot', slot: 'nowhere', group: 'x' }],
    [{ type: 'setShades', slot: 'nowhere', scale: null }],
    [{ type: 'setSlots', told: 'x', values: [{ slot: 'nowhere', value: null }] }],
  ])('that are gone cannot be changed: %j', (edit) => {
    expect(refusal(edit)).toBe('slot-gone')
  })
})

describe('studies', () => {
  const study = (id: string) => ({ id, name: id, colors: [{ value: '#123456' }] })

  test('are kept, replaced by one of the same id, and dropped', () => {
    const kept = done(ternFrame, { type: 'keepStudy', study: study('one') })
    const twice = done(kept, { type: 'keepStudy', study: { ...study('one'), name: 'Other' } })
    expect(twice.studies.filter(({ id }) => id === 'one')).toEqual([
      { ...study('one'), name: 'Other' },
    ])
    expect(done(twice, { type: 'dropStudy', study: 'one' }).studies).toEqual(ternFrame.studies)
    expect(refusal({ type: 'dropStudy', study: 'one' })).toBe('study-gone')
  })

  test('there are only so many', () => {
    let frame = ternFrame
    for (let i = frame.studies.length; i < mostStudies; i += 1) {
      frame = done(frame, { type: 'keepStudy', study: study(`s${i}`) })
    }
    expect(refusal({ type: 'keepStudy', study: study('more') }, frame)).toBe('studies-full')
  })

  test('are applied all at once, with the slots that are missing', () => {
    const frame = done(ternFrame, {
      type: 'setSlots',
      told: 'A study applied',
      values: [{ slot: 'brand', value: '#27496d', name: 'Harbour' }],
      add: [{ id: 'rust', name: 'Rust', value: '#c0562f' }],
    })
    expect(slot('brand', frame)).toMatchObject({ value: '#27496d', name: 'Harbour' })
    expect(slot('rust', frame)).toEqual({ id: 'rust', name: 'Rust', value: '#c0562f', was: [] })
    expect(frame.palette.order.at(-1)).toBe('rust')
  })
})

test.each([
  [value('#27496d'), 'Brand set to #27496d'],
  [value(null), 'Brand emptied'],
  [{ type: 'addSlot', slot: 's', name: 'Sea', value: null }, 'Slot Sea added, empty'],
  [{ type: 'groupSlot', slot: 'ink', group: 'Words' }, 'Ink put into Words'],
  [
    { type: 'setShades', slot: null, scale: { lighter: 3, darker: 1, step: 5 } },
    'The palette: 3 lighter and 1 darker shades, 5 apart',
  ],
  [
    { type: 'setSlots', told: 'Reshuffled', values: [{ slot: 'ink', value: '#000000' }] },
    'Reshuffled: 1 slot',
  ],
])('%j is told in words', (edit, told) => {
  expect(describeEdit(editSchema.parse(edit) as Edit, siteDocs(ternFrame))).toBe(told)
})
