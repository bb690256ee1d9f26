declare module 'wcag-contrast' {
  type Rgb = [number, number, number]
  const wcagContrast: { rgb: (a: Rgb, b: Rgb) => number; hex: (a: string, b: string) => number }
  export default wcagContrast
}
