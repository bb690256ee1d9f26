import { demoSites } from '@demo/sites'
import { siteDocs } from '@/core/site'
import { stepTo, walkable } from './walk'

const { frame, pages, pictures } = demoSites[0]!
const all = walkable(siteDocs(frame, pages, pictures), pages[0]!.id)

test('arrow keys walk everything on the page, once down and once up', () => {
  const walked = [stepTo(all, undefined, 'ArrowDown')!]
  for (let next; (next = stepTo(all, walked.at(-1), 'ArrowDown'));) walked.push(next)
  expect(walked).toEqual(all)
  const back = [stepTo(all, undefined, 'ArrowUp')!]
  for (let next; (next = stepTo(all, back.at(-1), 'ArrowUp'));) back.push(next)
  expect(back).toEqual([...all].reverse())
})

test('right and left lead from section to section; left from within one to its beginning', () => {
  const sections = all.filter(({ element }) => !element)
  expect(sections.length).toBeGreaterThan(5)
  expect(stepTo(all, sections[1], 'ArrowRight')).toEqual(sections[2])
  expect(stepTo(all, sections[2], 'ArrowLeft')).toEqual(sections[1])
  const inside = all.find(({ element, section }) => element && section === sections[2]!.section)
  expect(stepTo(all, inside, 'ArrowLeft')).toEqual(sections[2])
  expect(stepTo(all, sections.at(-1), 'ArrowRight')).toBeUndefined()
  expect([stepTo(all, inside, 'Home'), stepTo(all, inside, 'End')]).toEqual([all[0], all.at(-1)])
})
