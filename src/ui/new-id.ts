/** An id that nothing ever had, made from what it is for: what was removed can come back. */
export const newId = (stem: string): string =>
  `${stem.replaceAll(/[A-Z]/g, (letter) => `-${letter.toLowerCase()}`).slice(0, 30)}-${crypto.randomUUID().slice(0, 8)}`
