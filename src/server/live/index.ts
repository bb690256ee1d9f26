export { announce, hearNews, stopHearing, type News } from './hear'
export { tellPresent, whoIsPresent } from './presence'
export { closeStreams, liveStream } from './stream'
