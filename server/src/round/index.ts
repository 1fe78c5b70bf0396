export { alarmsView, mutedKeys } from './alarms'
export { jobView } from './view'
