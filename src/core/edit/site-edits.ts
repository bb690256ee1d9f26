import { z } from 'zod'
import { mostCustomCss, plainText } from '../site'
import { defineEdit } from './edit'

const setCustomCssCommand = z.strictObject({
  type: z.literal('setCustomCss'),
  css: plainText(mostCustomCss),
})

export const setCustomCss = defineEdit<z.infer<typeof setCustomCssCommand>>({
  type: 'setCustomCss',
  schema: setCustomCssCommand,
  pages: () => [],
  apply({ frame }, { css }) {
    frame.customCss = css
  },
  describe: () => 'Custom CSS changed',
})
