export { pack, packedFile, publicationOf, publishedFile, publishedZip } from './publication'
export { publish } from './publish'
