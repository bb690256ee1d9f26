import * as z from 'zod'
import { deepestCss, staysInside, surveyCss } from '../css'
import { mostCustomCss, plainText } from '../site'
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
})
