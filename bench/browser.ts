import { chromium, type Browser, type CDPSession } from '@playwright/test'
import { chromiumLaunch } from '../e2e/chromium'

export function openBrowser(): Promise<Browser> {
  return chromium.launch(chromiumLaunch)
}

/** Seconds that Chromium has spent on a page so far: scripts, style, layout. */
export async function spent(
  session: CDPSession,
): Promise<{ script: number; style: number; layout: number }> {
  const { metrics } = await session.send('Performance.getMetrics')
  const of = (name: string) => metrics.find((metric) => metric.name === name)?.value ?? 0
  return {
    script: of('ScriptDuration'),
    style: of('RecalcStyleDuration'),
    layout: of('LayoutDuration'),
  }
}

export function median(values: readonly number[]): number {
  return [...values].sort((a, b) => a - b)[Math.floor(values.length / 2)]!
}
