export { beginFromArchiveApart } from './begin-apart'
export { beginFromArchive } from './begin-from-archive'
export { mostArchive } from './format'
export { writeArchive } from './write-archive'
