import { calculate as endpoint } from '@vadose/contract/worksheets'
import type { Server } from '../serve'
import type { Calculators } from './calculators'

export function serveWorksheets(server: Server, calculators: Calculators): void {
  server.apart(endpoint, ({ params }, text) => calculators.run(params.name, text))
}
