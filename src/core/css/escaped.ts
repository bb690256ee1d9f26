/** A text with the characters that mean something in patterns of JavaScript taken as they are. */
export const escaped = (text: string): string => text.replaceAll(/[\\^$.*+?()[\]{}|/]/g, '\\$&')
