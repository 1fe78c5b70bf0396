export { addReadings, addSensor, hourlyReadings, simulatedSensors, type ReadingColumns } from './queries'
export { ingest } from './ingest'
