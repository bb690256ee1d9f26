import { createStore } from 'zustand/vanilla'
import type { Frame } from '@/core/site'
import type { Finding } from './findings'

/** A survey of what changes of looks did to the words of all pages. */
export interface SurveyState {
  /** The site that it is about, and how its frame was before the changes; absent while nothing is looked at. */
  readonly asked?: { readonly site: string; readonly before: Frame }
  /** A page that something was mended on: it alone is looked at once more. */
  readonly again?: { readonly page: string }
  readonly running: boolean
  readonly done: number
  readonly total: number
  readonly findings: readonly Finding[]
  readonly missed: readonly string[]
  readonly withoutFonts: boolean
  readonly failure?: string
}

const idle: SurveyState = {
  running: false,
  done: 0,
  total: 0,
  findings: [],
  missed: [],
  withoutFonts: false,
}

/** It outlives the view that asked: what was found is gone through on the pages. */
export const surveyStore = createStore<SurveyState>(() => idle)

/** Has the pages looked at against how they were; what was asked before and not put away stays what it is held against. */
export function askSurvey(site: string, before: Frame): void {
  const { asked } = surveyStore.getState()
  if (asked?.site === site) return
  surveyStore.setState({ ...idle, asked: { site, before } }, true)
}

/** Looks at one page once more. */
export const askAgain = (page: string): void => surveyStore.setState({ again: { page } })

/** What is there now is what the next changes are held against. */
export const putSurveyAway = (): void => surveyStore.setState(idle, true)
