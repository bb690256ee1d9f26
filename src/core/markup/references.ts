/** A reference to a part of the picture itself, in a presentation attribute. */
const HERE = /url\(\s*(["']?)#[^"'()\\<>]+\1\s*\)/gi

/** Whether the value of a presentation attribute of SVG refers to nothing outside of its own document. */
export const staysHere = (value: string): boolean =>
  !/url\s*\(|\\/i.test(value.replaceAll(HERE, ''))
