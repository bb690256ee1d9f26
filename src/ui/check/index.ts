export { ContrastMark } from './contrast-mark'
export { SiteCheckReport } from './site-check'
