import { readdirSync, readFileSync } from 'node:fs'
import path from 'node:path'
import { expect, test } from '@playwright/test'
import { applyChanges, reversed } from '@/core/changes'
import { colorKey } from '@/core/color'
import { cleanSvg, readSvgColors } from '@/core/markup'
import { changesOfHits, planSweep, sweepRequest } from '@/core/sweep'
import { usesIn } from '@/core/uses'
import { demoSites } from '@demo/sites'

/**
 * Vector pictures as drawing programs write them: the icons of Debian's package tango-icon-theme,
 * in the public domain, which the test command unpacks. The browser is the judge of what cleaning
 * leaves of them, and of what a sweep does to them.
 */
function drawnElsewhere(): string[] {
  const folder = process.env.EASEL_ICONS
  if (!folder) throw new Error('EASEL_ICONS names no folder: run this by ./easel test')
  const entries = readdirSync(folder, { recursive: true, withFileTypes: true })
  const files = entries.filter((each) => each.isFile() && each.name.endsWith('.svg'))
  return files.map((each) => readFileSync(path.join(each.parentPath, each.name), 'utf8'))
}

const { frame, pictures } = demoSites[0]!
const [picture] = pictures

/** All colours of a picture, black and white aside, which are also what stands where nothing is said. */
function colorsOf(svg: string): string[] {
  const uses = usesIn({ kind: 'picture', id: picture!.id }, picture!, readSvgColors, svg)
  const keys = uses.flatMap(({ color }) => (color?.alpha === 1 ? [colorKey(color)] : []))
  const told = [...new Set(keys)].map((key) => `#${key.slice(0, 6)}`)
  return told.filter((each) => !/^#(?:000000|ffffff)$/.test(each)).slice(0, 60)
}

/** Every colour comes to be the next one, the last the first: all at once. */
function inTurn(svg: string, colors: readonly string[]) {
  const pairs = colors.map((value, i) => ({
    from: { value, within: 0 },
    to: { value: colors[(i + 1) % colors.length]! },
  }))
  const request = sweepRequest.parse({ pairs, scope: 'site' })
  const uses = usesIn({ kind: 'picture', id: picture!.id }, picture!, readSvgColors, svg)
  const record = { file: { text: svg } }
  const changes = changesOfHits(planSweep(frame.palette, uses, request), () => record)
  const swept = applyChanges(record, changes)!
  const back = applyChanges(swept, reversed(changes))!
  return { swept: swept.file.text, back: back.file.text }
}

test('vector pictures drawn elsewhere look as they did when they are clean; a sweep exchanges all of their colours, and no other', async ({
  page,
}) => {
  const drawn = drawnElsewhere()
  expect(drawn.length).toBeGreaterThan(150)
  await page.goto('/')
  let exchanged = 0
  for (const [i, original] of drawn.entries()) {
    const clean = cleanSvg(original)!
    const colors = colorsOf(clean)
    const { swept, back } =
      colors.length > 1 ? inTurn(clean, colors) : { swept: clean, back: clean }
    expect(back).toBe(clean)
    const seen = await page.evaluate(
      async (svgs) => {
        const SIZE = 96
        const pixels = async (svg: string) => {
          const image = new Image(SIZE, SIZE)
          image.src = URL.createObjectURL(new Blob([svg], { type: 'image/svg+xml' }))
          await image.decode()
          const context = new OffscreenCanvas(SIZE, SIZE).getContext('2d')!
          context.drawImage(image, 0, 0, SIZE, SIZE)
          return context.getImageData(0, 0, SIZE, SIZE).data
        }
        const [one, two] = [await pixels(svgs.original), await pixels(svgs.clean)]
        const computed = (svg: string) => {
          const { documentElement } = new DOMParser().parseFromString(svg, 'image/svg+xml')
          const host = document.body.appendChild(document.createElement('div'))
          const root = host.attachShadow({ mode: 'open' })
          root.append(document.importNode(documentElement, true))
          const values = [...root.querySelectorAll('*')].map((each) => {
            const { fill, stroke, stopColor, floodColor, lightingColor, color } =
              getComputedStyle(each)
            return [fill, stroke, stopColor, floodColor, lightingColor, color]
          })
          host.remove()
          return values
        }
        return {
          others: one.filter((value, at) => Math.abs(value - two[at]!) > 2).length,
          before: computed(svgs.clean),
          after: computed(svgs.swept),
        }
      },
      { original, clean, swept },
    )
    expect(seen.others, `picture ${i}`).toBe(0)
    const shown = colors.map((each) => {
      const [r, g, b] = [1, 3, 5].map((at) => Number.parseInt(each.slice(at, at + 2), 16))
      return `rgb(${r}, ${g}, ${b})`
    })
    const expected = seen.before.map((values) =>
      values.map((value) => {
        const at = shown.indexOf(value)
        if (at < 0 || colors.length < 2) return value
        exchanged += 1
        return shown[(at + 1) % shown.length]!
      }),
    )
    expect(seen.after, `picture ${i}`).toEqual(expected)
  }
  expect(exchanged).toBeGreaterThan(4_000)
})
