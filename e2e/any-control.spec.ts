import { expect, test, type APIRequestContext, type Page } from '@playwright/test'
import { colorOf, colorKey } from '@/core/color'
import { lowInAddOns, lowInThemes, lowOnPage } from '@/core/check'
import { afterDark } from '@/core/generate'
import { facetsOf, slotColor } from '@/core/resolve'
import {
  canonicalJson,
  homePath,
  slotsInOrder,
  type Frame,
  type Page as SitePage,
  type SiteDocs,
} from '@/core/site'
import { states } from '@/core/traits'
import { compareStage, plain } from './computed'
import { controlsOf, numbersFrom, oneOf, use, type Random } from './controls'
import { leavesTheSiteAsItWas, openView, stageFrame, tern, type View } from './editor'
import { copyOfStage, measuredByAxe } from './reads-well'

leavesTheSiteAsItWas()

/** Controls that are used: few, always the same ones; a long walk, by another seed each time, is asked for by the environment. */
const LONG = process.env.EASEL_CONTROLS
const STEPS = Number(LONG ?? 60)
const SEED = Number(process.env.EASEL_SEED ?? (LONG ? Math.floor(Math.random() * 1e9) : 1))

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

interface Stored {
  readonly revision: number
  /** All that is stored of the site but its history, written so that the same is the same. */
  readonly content: string
  readonly docs: SiteDocs
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
      return page as SitePage
    }),
  )
  const frame = site.frame as Frame
  const { palette } = frame
  const filled = slotsInOrder(palette).filter(({ value }) => value !== null)
  return {
    revision: site.revision,
    content: canonicalJson([frame, bodies]),
    docs: plain({ frame, pages: bodies as SitePage[] }),
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

const isOnTrial = async (page: Page) =>
  (await page.getByText(/not (yet applied|applied yet)\./).count()) > 0

/** The page on the stage is drawn in the slots as they are stored. */
async function isDrawnAsStored(page: Page, { slots }: Stored) {
  if ((await page.locator('iframe[title="The page, live"]').count()) === 0) return
  // A palette on trial is shown on the page until it is applied or discarded.
  if (await isOnTrial(page)) return
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

/** The frame that the open page is drawn in; other views draw a specimen. */
async function stageOf(page: Page) {
  const frames = await page.locator('iframe[title="The page, live"]').elementHandles()
  return frames[0]?.contentFrame()
}

/** The open page as it is stored. */
const openPage = (page: Page, { docs }: Stored): SitePage | undefined => {
  const named = new URL(page.url()).searchParams.get('page')
  return Object.values(docs.pages).find(({ id, path }) =>
    named ? id === named : path === homePath,
  )
}

/** The edition that the stage shows. */
const shownEdition = async (page: Page) =>
  (await page.getByRole('button', { name: 'Show the light edition' }).count()) ? 'dark' : 'light'

/**
 * The top bar counts what is too low in contrast as the core does on what is stored, and no text
 * that axe-core finds too low at rest is missing there.
 */
async function isReadAsSaid(page: Page, copy: Page, stored: Stored) {
  const [stage, open] = [await stageOf(page), openPage(page, stored)]
  const mark = page.getByRole('button', { name: /^(✓|×.*low) contrast/ })
  if (!stage || !open || (await mark.count()) === 0 || (await isOnTrial(page))) return
  const { docs } = stored
  const [inThemes, onPage] = [lowInThemes(docs.frame), lowOnPage(docs, open.id).low]
  const inAddOns = lowInAddOns(docs.frame)
  const count = inThemes.length + inAddOns.length + onPage.length
  const text = (await mark.textContent())!
  expect(count === 0 ? /^✓/.test(text) : Number(/\d+/.exec(text)?.[0]), text).toBe(count || true)
  await copyOfStage(stage, copy)
  const { low } = await measuredByAxe(copy)
  const shown = await shownEdition(page)
  const missing = low.filter(
    ({ id, theme, ratio = 0 }) =>
      // What has no element is of an add-on.
      !(id === undefined && inAddOns.some((each) => Math.abs(each.ratio - ratio) < 0.1)) &&
      !onPage.some(
        ({ element, state, edition }) => element === id && state === 'rest' && edition === shown,
      ) &&
      !inThemes.some(({ key }) => key.includes(`/${theme}/`)),
  )
  expect(missing, 'too low in contrast, and not told').toEqual([])
}

/** Every value that the trace would name on the open page is the one that Chromium computes on the stage. */
async function isTracedAsDrawn(page: Page, stored: Stored, random: Random) {
  const [stage, open] = [await stageOf(page), openPage(page, stored)]
  if (!stage || !open || (await isOnTrial(page))) return
  const { frame } = stored.docs
  const isDark = (await shownEdition(page)) === 'dark'
  const docs = { ...stored.docs, frame: isDark ? afterDark(frame) : frame }
  for (const state of ['rest', oneOf(random, states.slice(1))] as const) {
    expect(await compareStage(stage, docs, open.id, state)).toEqual([])
  }
}

/** The contrast that the panel tells of a text is the one that axe-core measures; whether there was one. */
async function isContrastAsTold(page: Page, copy: Page, { docs }: Stored): Promise<boolean> {
  const stage = await stageOf(page)
  const line = page.locator('[data-reading]')
  const tabs = page.getByRole('group', { name: 'State' })
  if (!stage || (await line.count()) !== 1) return false
  const tab = (await tabs.count()) > 0 && (await tabs.locator('[aria-pressed=true]').textContent())
  if (tab && !tab.startsWith('At rest')) return false
  const told = (await line.textContent())!
  // Of the worst point of a picture, or of another window, the stage cannot tell.
  if (/worst|picture/.test(told)) return false
  const [id, key] = (await line.getAttribute('data-reading'))!.split('/')
  const element = [docs.frame, ...Object.values(docs.pages)]
    .map(({ body }) => body.elements[id as never])
    .find(Boolean)
  const facet = element && facetsOf(element).find((each) => each.key === key)
  if (!facet || facet.paints !== 'text' || facet.pseudo) return false
  await copyOfStage(stage, copy)
  const { all } = await measuredByAxe(copy)
  const measured = all.find(
    (each) => each.id === id && (facet.part ? each.classes.includes(facet.part) : each.isElement),
  )?.ratio
  if (measured === undefined) return false
  const ratio = Number(/\d+(?:\.\d+)?/.exec(told.replace(/^\D+/, ''))![0])
  // The panel leaves digits out, and axe-core reads colours of eight bits.
  expect(Math.abs(ratio - measured), `${told}; axe-core: ${measured}`).toBeLessThan(
    0.11 + measured * 0.02,
  )
  return true
}

/** The loose uses that the top bar counts are those that the server finds in what is stored. */
async function isCountedAsStored(page: Page, request: APIRequestContext) {
  const { uses } = await read(request, '/leftovers')
  const mark = page.getByRole('img', { name: /loose uses? left behind/ })
  const shown = async () => ((await mark.count()) ? Number(await mark.textContent()) : 0)
  await expect.poll(shown, { message: 'loose uses that the top bar counts' }).toBe(uses)
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
  const copy = await page.context().newPage()
  await openView(page, '')
  await settled(page)
  let before = await storedSite(request)
  const done: string[] = []
  let contrasts = 0
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
      if ((await revisionOf(request)) === before.revision) {
        if (await isContrastAsTold(page, copy, before)) contrasts += 1
        continue
      }
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
      if (random() < 0.1) await isReadAsSaid(page, copy, after)
      if (random() < 0.1) await isTracedAsDrawn(page, after, random)
      if (random() < 0.2) await isCountedAsStored(page, request)
      before = await storedSite(request)
    } catch (error) {
      throw new Error(
        `seed ${SEED}, step ${step}, after:\n${done.slice(-12).join('\n')}\n${(error as Error).message}`,
      )
    }
  }
  console.warn(
    `any control: ${done.length} used, revision ${before.revision}, ${contrasts} contrasts compared`,
  )
  expect(contrasts).toBeGreaterThan(0)
})
