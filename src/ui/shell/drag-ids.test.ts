import { readDragId } from './drag-ids'

test.each([
  ['give:3', { of: 'give', index: 3 }],
  ['take:0', { of: 'take', index: 0 }],
  ['section:opening', { of: 'section', section: 'opening' }],
  ['section:opening:stage', { of: 'section', section: 'opening' }],
  ['band:end', { of: 'band', section: 'end' }],
  ['element:home/h-1', { of: 'element', doc: 'home', element: 'h-1' }],
  ['row:frame/header/f-2', { of: 'row', doc: 'frame', section: 'header', element: 'f-2' }],
  ['pan:brand', { of: 'pan', slot: 'brand' }],
  ['pan:end', { of: 'pan', slot: 'end' }],
  ['brand', { of: 'slot', slot: 'brand' }],
])('%s is read as what is dragged or dropped on', (id, read) => {
  expect(readDragId(id)).toEqual(read)
})
