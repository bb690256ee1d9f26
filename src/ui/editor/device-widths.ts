/** The windows that a page is looked at in, CSS pixels wide. */
export const deviceWidths = { desktop: 1140, tablet: 820, phone: 390 } as const
