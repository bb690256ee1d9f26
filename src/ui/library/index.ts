import { later } from '../kit'

export const SectionLibrary = later(async () => (await import('./section-library')).SectionLibrary)
