import * as z from 'zod'
import {
  fontId,
  fontSchema,
  homePath,
  orderKey,
  pageId,
  pagePath,
  pageSchema,
  plainText,
  typedName,
} from '../site'
import { defineEdit, pagesIn } from './edit'

const addPageCommand = z.strictObject({
  type: z.literal('addPage'),
  page: pageSchema.extend({ title: typedName }),
})

/** Adds a page, whole; its place among the others is its order key. */
export const addPage = defineEdit<z.infer<typeof addPageCommand>>({
  type: 'addPage',
  schema: addPageCommand,
  needs: ({ page }) => pagesIn([page.id]),
  apply(draft, { page }) {
    if (draft.pages[page.id]) return 'page-taken'
    if (Object.values(draft.pages).some(({ path }) => path === page.path)) return 'path-taken'
    const themes = draft.frame.themes.byId
    if (Object.values(page.body.sections).some(({ theme }) => !themes[theme])) return 'theme-gone'
    draft.pages[page.id] = page
  },
  describe: ({ page }) => `Page ${page.title} added`,
})

const movePageCommand = z.strictObject({
  type: z.literal('movePage'),
  page: pageId,
  order: orderKey,
})

/** Puts a page in another place among the pages; no other page changes. */
export const movePage = defineEdit<z.infer<typeof movePageCommand>>({
  type: 'movePage',
  schema: movePageCommand,
  needs: ({ page }) => pagesIn([page]),
  apply({ pages }, { page: id, order }) {
    const page = pages[id]
    if (!page) return 'page-gone'
    page.order = order
  },
  describe: ({ page }, docs) => `Page ${docs.pages[page]?.title ?? page} moved`,
})

const setPageCommand = z.strictObject({
  type: z.literal('setPage'),
  page: pageId,
  title: typedName.optional(),
  path: pagePath.optional(),
  description: plainText(400).optional(),
})

/** Says what a page is called, where it lies and what it is about; links to it follow, for they name it by its id. */
export const setPage = defineEdit<z.infer<typeof setPageCommand>>({
  type: 'setPage',
  schema: setPageCommand,
  needs: ({ page }) => pagesIn([page]),
  apply({ pages }, { page: id, title, path, description }) {
    const page = pages[id]
    if (!page) return 'page-gone'
    if (path !== undefined && path !== page.path) {
      if (page.path === homePath) return 'home-address'
      const isTaken = Object.values(pages).some((each) => each.path === path)
      if (isTaken) return 'path-taken'
      page.path = path
    }
    if (title !== undefined) page.title = title
    if (description !== undefined) page.description = description
  },
  describe: ({ page, title, path }, docs) => {
    const name = docs.pages[page]?.title ?? page
    if (title !== undefined && title !== name) return `Page ${name} renamed to ${title}`
    return path === undefined ? `Page ${name} described anew` : `Page ${name} at ${path}`
  },
})

const removePageCommand = z.strictObject({ type: z.literal('removePage'), page: pageId })

/** Takes a page away; the home page stays, for every site has one. */
export const removePage = defineEdit<z.infer<typeof removePageCommand>>({
  type: 'removePage',
  schema: removePageCommand,
  needs: ({ page }) => pagesIn([page]),
  apply({ pages }, { page: id }) {
    const page = pages[id]
    if (!page) return 'page-gone'
    if (page.path === homePath) return 'home-page'
    delete pages[id]
  },
  describe: ({ page }, docs) => `Page ${docs.pages[page]?.title ?? page} removed`,
})

const addFontCommand = z.strictObject({ type: z.literal('addFont'), font: fontSchema })

export const addFont = defineEdit<z.infer<typeof addFontCommand>>({
  type: 'addFont',
  schema: addFontCommand,
  needs: ({ font: { id } }) => [{ kind: 'font', id }],
  apply({ fonts }, { font }) {
    if (fonts[font.id]) return 'font-taken'
    if (Object.values(fonts).some(({ fileName }) => fileName === font.fileName)) return 'file-taken'
    fonts[font.id] = font
  },
  describe: ({ font }) => `Font ${font.family} added`,
})

const removeFontCommand = z.strictObject({ type: z.literal('removeFont'), font: fontId })

export const removeFont = defineEdit<z.infer<typeof removeFontCommand>>({
  type: 'removeFont',
  schema: removeFontCommand,
  needs: ({ font: id }) => [{ kind: 'font', id }],
  apply({ fonts }, { font: id }) {
    if (!fonts[id]) return 'font-gone'
    delete fonts[id]
  },
  describe: ({ font }, { fonts }) => `Font ${fonts[font]?.family ?? font} removed`,
})
