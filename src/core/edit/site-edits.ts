import * as z from 'zod'
import { deepestCss, staysInside, surveyCss } from '../css'
import { mostCustomCss, own, pictureId, plainText, typedName } from '../site'
import { defineEdit } from './edit'

const setCustomCssCommand = z.strictObject({
  type: z.literal('setCustomCss'),
  css: plainText(mostCustomCss),
})

export const setCustomCss = defineEdit<z.infer<typeof setCustomCssCommand>>({
  type: 'setCustomCss',
  schema: setCustomCssCommand,
  apply({ frame }, { css }) {
    const { addresses, depth } = surveyCss(css)
    if (depth > deepestCss) return 'css-too-deep'
    if (!addresses.every(({ address }) => staysInside(address))) return 'css-reaches-out'
    frame.customCss = css
  },
  describe: () => 'Custom CSS changed',
  typed: ({ css }) => css,
})

const setSiteIconCommand = z.strictObject({
  type: z.literal('setSiteIcon'),
  /** None where absent. */
  picture: pictureId.optional(),
})

/** Says which picture browsers show beside the title of a page. */
export const setSiteIcon = defineEdit<z.infer<typeof setSiteIconCommand>>({
  type: 'setSiteIcon',
  schema: setSiteIconCommand,
  needs: ({ picture: id }) => (id ? [{ kind: 'picture', id }] : []),
  apply({ frame, pictures }, { picture: id }) {
    if (id === undefined) delete frame.siteIcon
    else if (!own(pictures, id)) return 'picture-gone'
    else frame.siteIcon = { picture: id }
  },
  describe: ({ picture: id }, { pictures }) =>
    id ? `${own(pictures, id)?.fileName ?? id} is the icon of the site` : 'The site has no icon',
})

const renameSiteCommand = z.strictObject({ type: z.literal('renameSite'), name: typedName })

/** Gives the site another name: on the shelf, and in the titles of its pages. */
export const renameSite = defineEdit<z.infer<typeof renameSiteCommand>>({
  type: 'renameSite',
  schema: renameSiteCommand,
  apply({ frame }, { name }) {
    frame.name = name
  },
  describe: ({ name }, { frame }) => `Site ${frame.name} renamed ${name}`,
})
