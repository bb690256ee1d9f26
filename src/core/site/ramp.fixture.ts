import type { ColorDecision, GradientPaint } from './paint'

/** A gradient from one colour to another; a colour is a slot by its id, or a value as it is written. */
export function ramp(from: string, to: string, angle = 90): GradientPaint {
  const colorOf = (text: string): ColorDecision =>
    /^[a-z]+$/.test(text) ? ({ slot: text } as ColorDecision) : { value: text }
  return {
    gradient: 'linear',
    angle,
    stops: [
      { at: 0, color: colorOf(from) },
      { at: 100, color: colorOf(to) },
    ],
  }
}
