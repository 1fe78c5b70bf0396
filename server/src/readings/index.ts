export { addSensor, simulatedSensors } from './queries'
export { ingest } from './ingest'
export { addReadings } from './write'
