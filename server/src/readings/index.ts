export { addSensor, simulatedSensors, strikeThese } from './queries'
export { ingest } from './ingest'
export { addReadings, strikeReadings } from './write'
