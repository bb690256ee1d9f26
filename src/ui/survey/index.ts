import { later } from '../kit'

export { askSurvey, surveyStore } from './survey-store'
export const SurveyHost = later(async () => (await import('./survey-host')).SurveyHost)
export const SurveyReport = later(async () => (await import('./survey-report')).SurveyReport)
