export { bandsOnPage, withThemes, type Band } from './bands'
export { PageStack } from './page-stack'
export { sectionKey, type SectionRef } from './section-ref'
