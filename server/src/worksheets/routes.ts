import { calculate as endpoint } from '@vadose/contract/worksheets'
import type { Server } from '../serve'
import { calculate, calculatorNamed } from './calculate'

export function serveWorksheets(server: Server): void {
  server.anyone(endpoint, ({ params, body }) => calculate(calculatorNamed(params.name), body))
}
