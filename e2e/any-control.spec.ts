import { expect, test, type APIRequestContext, type Page } from '@playwright/test'
import { colorOf, colorKey } from '@/core/color'
import { slotColor } from '@/core/resolve'
import { canonicalJson, slotsInOrder, type Frame } from '@/core/site'
import { leavesTheSiteAsItWas, openView, stageFrame, tern, type View } from './editor'
import { hardToRead } from './reads-well'

leavesTheSiteAsItWas()

/** Controls that are used: few, always the same ones; a long walk, by another seed each time, is asked for by the environment. */
const LONG = process.env.EASEL_CONTROLS
const STEPS = Number(LONG ?? 60)
const SEED = Number(process.env.EASEL_SEED ?? (LONG ? Math.floor(Math.random() * 1e9) : 1))

/** What leads out of the site, changes what is not part of it, or asks the machine for a file. */
const LEFT_ALONE =
  /^(undo|redo)|publish|zip|pdf|download|carry|share|copy|link to|leave|all sites|chrome|keys and help|dropper|screen|file|checkpoint|back to (this|it)|other window|take back|notifications/i

const VIEWS: readonly View[] = [
  '',
  '',
  '',
  '/themes',
  '/themes',
  '/looks',
  '/rhythm',
  '/add-ons',
  '/sweep',
  '/history',
]

/** Numbers 0…1 that follow from a seed (mulberry32). */
function numbersFrom(seed: number): () => number {
  let state = seed
  return () => {
    state = (state + 0x6d2b79f5) | 0
    let t = Math.imul(state ^ (state >>> 15), 1 | state)
    t = (t + Math.imul(t ^ (t >>> 7), 61 | t)) ^ t
    return ((t ^ (t >>> 14)) >>> 0) / 4294967296
  }
}

type Random = () => number
const oneOf = <Item>(random: Random, items: readonly Item[]): Item =>
  items[Math.floor(random() * items.length)]!

interface Control {
  readonly index: number
  readonly does: 'click' | 'type' | 'slide' | 'select'
  readonly name: string
}

/** Marks every control that can be used just now, and tells them by number. */
async function controlsOf(page: Page): Promise<Control[]> {
  const found = await page.evaluate(() => {
    const open = document.querySelector('[role=dialog], [role=menu], [role=listbox]')
    const all = [
      ...document.querySelectorAll<HTMLElement>(
        'button, [role=radio], [role=menuitem], [role=menuitemradio], [role=option], [role=slider], input, select, textarea',
      ),
    ]
    document
      .querySelectorAll('[data-control]')
      .forEach((node) => node.removeAttribute('data-control'))
    return all.flatMap((node, index) => {
      if (node.matches(':disabled, [aria-disabled=true], [type=file], [type=hidden]')) return []
      if (open && !open.contains(node)) return []
      const { left, top, width, height } = node.getBoundingClientRect()
      const [x, y] = [left + width / 2, top + height / 2]
      const hit = width > 0 && height > 0 ? document.elementFromPoint(x, y) : null
      const label = node.closest('label')
      if (!hit || !(node.contains(hit) || hit.contains(node) || label?.contains(hit))) return []
      node.setAttribute('data-control', String(index))
      const labelled = node.getAttribute('aria-labelledby')
      const name =
        node.getAttribute('aria-label') ??
        (labelled && document.getElementById(labelled)?.textContent) ??
        (node as HTMLInputElement).labels?.[0]?.textContent ??
        node.textContent ??
        ''
      const isText = node.matches(
        'textarea, input:not([type=checkbox], [type=radio], [type=range])',
      )
      const does = isText
        ? ('type' as const)
        : node.matches('select')
          ? ('select' as const)
          : node.matches('[role=slider], [type=range]')
            ? ('slide' as const)
            : ('click' as const)
      return [{ index, does, name: name.trim().slice(0, 80) }]
    })
  })
  return found.filter(({ name }) => !LEFT_ALONE.test(name))
}

const TEXTS = [
  '#6b2d5c',
  'teal',
  'oklch(62% 0.15 250)',
  'Ink −8',
  '12',
  '0',
  'Harbour',
  'not a colour ',
  '#fff8',
]

async function use(page: Page, { index, does }: Control, random: Random): Promise<void> {
  const control = page.locator(`[data-control="${index}"]`)
  const patience = { timeout: 1_500 }
  if (does === 'type') {
    await control.fill(oneOf(random, TEXTS), patience)
    await control.press('Enter', patience)
  } else if (does === 'select') {
    const options = await control
      .locator('option')
      .evaluateAll((nodes) => nodes.map((node) => (node as HTMLOptionElement).value))
    await control.selectOption(oneOf(random, options), patience)
  } else if (does === 'slide') {
    await control.press(
      oneOf(random, ['ArrowRight', 'ArrowLeft', 'Home', 'End', 'PageUp']),
      patience,
    )
  } else await control.click(patience)
}

interface Stored {
  readonly revision: number
  /** All that is stored of the site but its history, written so that the same is the same. */
  readonly content: string
  /** The colours of filled slots as they are painted, within sRGB. */
  readonly slots: ReadonlyMap<string, string>
}

/** What the server has at an address; a connection that it closed as it rested is opened again. */
const read = async (request: APIRequestContext, path: string) =>
  (await request.get(`/api${tern}${path}`, { maxRetries: 2 })).json()

async function storedSite(request: APIRequestContext): Promise<Stored> {
  const site = await read(request, '')
  const { pages } = await read(request, '/pages?count=200')
  const bodies = await Promise.all(
    pages.map(async ({ id }: { id: string }) => {
      const { page } = await read(request, `/pages/${id}`)
      return page
    }),
  )
  const { palette } = site.frame as Frame
  const filled = slotsInOrder(palette).filter(({ value }) => value !== null)
  return {
    revision: site.revision,
    content: canonicalJson([site.frame, bodies]),
    slots: new Map(filled.map(({ id }) => [id, colorKey(slotColor(palette, id))] as const)),
  }
}

const revisionOf = async (request: APIRequestContext) =>
  (await read(request, '')).revision as number

/** Waits until all that was done is stored, and nothing is asked for any more. */
async function settled(page: Page): Promise<void> {
  await expect(page.locator('[data-save]')).toHaveAttribute('data-save', 'saved')
  await expect(page.getByRole('button', { name: /ing( it)? …$/ })).toHaveCount(0)
  await expect(page.locator('[aria-busy="true"]')).toHaveCount(0)
}

/** Opens a view, whatever is left of what it shows. */
async function goTo(page: Page, view: View): Promise<string> {
  await page.goto(`${tern}${view}`)
  await page.getByRole('main').waitFor()
  await page.evaluate(() => document.fonts.ready.then(() => undefined))
  return view || '/'
}

const undoButton = (page: Page) => page.getByRole('button', { name: 'Undo (Ctrl Z)' })

/** What the step back says that it is about. */
const undoWords = async (page: Page): Promise<string | undefined> =>
  /Takes back: (.*)/s
    .exec((await undoButton(page).getAttribute('title')) ?? '')?.[1]
    ?.replace(/, (which was done in another window|from before you opened this window)$/, '')

async function newestTold(request: APIRequestContext): Promise<string> {
  const { entries } = await read(request, '/edits')
  return entries[0].told
}

/** Where one is: the view and page of the address, and what is chosen. */
const placeOf = async (page: Page) =>
  [
    new URL(page.url()).pathname + new URL(page.url()).search,
    (await page
      .getByTestId('trace')
      .locator('h2')
      .first()
      .textContent({ timeout: 200 })
      .catch(() => '')) ?? '',
  ].join(' ')

/** One step back leads to the very state before, and one forward again to that after. */
async function isOneStep(
  page: Page,
  request: APIRequestContext,
  [before, wasAt]: readonly [Stored, string],
  after: Stored,
) {
  await undoButton(page).click()
  await settled(page)
  const back = await storedSite(request)
  expect(await placeOf(page), 'undo leads back to where one was').toBe(wasAt)
  expect(back.content === before.content, 'undo leads to the state before').toBe(true)
  await page.getByRole('button', { name: 'Redo (Ctrl Shift Z)' }).click()
  await settled(page)
  const again = await storedSite(request)
  expect(again.content === after.content, 'redo leads to the state after').toBe(true)
}

/** The page on the stage is drawn in the slots as they are stored. */
async function isDrawnAsStored(page: Page, { slots }: Stored) {
  if ((await page.locator('iframe[title="The page, live"]').count()) === 0) return
  const drawn = await stageFrame(page)
    .locator('html')
    .evaluate(
      (root, ids) => {
        const probe = document.createElement('i')
        root.append(probe)
        const read = ids.map((id) => {
          probe.style.color = ''
          probe.style.color = `var(--slot-${id})`
          return getComputedStyle(probe).color
        })
        probe.remove()
        return read
      },
      [...slots.keys()],
    )
  expect(drawn.map((text) => colorKey(colorOf(text)!))).toEqual([...slots.values()])
}

/** Where the page says that all reads well, text on it does, as axe-core reads it in Chromium. */
async function isReadAsSaid(page: Page) {
  const stage = page
    .frames()
    .find((frame) => frame.name() === 'stage' || frame.url().includes('/stage'))
  const mark = page.getByRole('button', { name: /low contrast|reads well/i })
  if (!stage || (await mark.count()) === 0) return
  if (!/reads well/i.test((await mark.first().textContent()) ?? '')) return
  expect(await hardToRead(stage)).toEqual([])
}

test(`any control, ${STEPS} times: what is told is what happened, one step back is the state before (seed ${SEED})`, async ({
  page,
  request,
}) => {
  test.setTimeout(60_000 + STEPS * 5_000)
  console.warn(`any control: seed ${SEED}`)
  const random = numbersFrom(SEED)
  const faults: string[] = []
  page.on('pageerror', (error) => faults.push(error.message))
  page.on('dialog', (dialog) => void dialog.accept())
  // Nothing is waited for without an end: what never comes is a fault.
  page.setDefaultTimeout(20_000)
  await openView(page, '')
  await settled(page)
  let before = await storedSite(request)
  const done: string[] = []
  for (let step = 0; step < STEPS; step += 1) {
    if (step % 12 === 11 || random() < 0.04) {
      await page.keyboard.press('Escape')
      await page.keyboard.press('Escape')
      done.push(`to the view ${await goTo(page, oneOf(random, VIEWS))}`)
      await settled(page)
    }
    const wasAt = await placeOf(page)
    const controls = await controlsOf(page)
    const stage = page.getByTestId('stage')
    const isOnStage = random() < 0.25 && (await page.locator('[role=dialog]').count()) === 0
    if (isOnStage && (await stage.count()) > 0) {
      const box = (await page.getByTestId('stage-scroll').boundingBox())!
      const at = [
        box.x + 30 + random() * (box.width - 60),
        box.y + 20 + random() * (box.height - 40),
      ]
      done.push(`point at ${at.map(Math.round).join(', ')}`)
      await page.mouse.click(at[0]!, at[1]!)
    } else if (controls.length > 0) {
      const control = oneOf(random, controls)
      done.push(`${control.does} “${control.name}”`)
      // What goes away as it is reached for was not used.
      await use(page, control, random).catch(() => undefined)
    } else await page.keyboard.press('Escape')
    try {
      await settled(page)
      expect(faults).toEqual([])
      if ((await revisionOf(request)) === before.revision) continue
      const after = await storedSite(request)
      if (after.content === before.content) {
        before = after
        continue
      }
      // Behind a dialog nothing is named.
      for (let i = 0; i < 3 && (await undoButton(page).count()) === 0; i += 1) {
        await page.keyboard.press('Escape')
      }
      expect(await undoWords(page), 'what undo would take back').toBe(await newestTold(request))
      await isDrawnAsStored(page, after)
      const place = await placeOf(page)
      if (random() < 0.6) {
        await isOneStep(page, request, [before, wasAt], after)
        expect(await placeOf(page), 'where one is after undo and redo').toBe(place)
      }
      if (random() < 0.1) await isReadAsSaid(page)
      before = await storedSite(request)
    } catch (error) {
      throw new Error(
        `seed ${SEED}, step ${step}, after:\n${done.slice(-12).join('\n')}\n${(error as Error).message}`,
      )
    }
  }
  console.warn(`any control: ${done.length} used, revision ${before.revision}`)
})
