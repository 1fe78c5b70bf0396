import { told } from '@vadose/core/message'
import { Refusal } from '@vadose/core/refusal'
import { refusalBody } from '../refusals'
import { calculate, calculatorNamed } from './calculate'

/** `./vadose calc NAME`: JSON on standard input, JSON on standard output; refusals on standard error with exit 2. */
async function main(): Promise<void> {
  try {
    const name = calculatorNamed(process.argv[2] ?? '')
    const chunks: Buffer[] = []
    for await (const chunk of process.stdin) chunks.push(chunk as Buffer)
    let input: unknown
    try {
      input = JSON.parse(Buffer.concat(chunks).toString('utf8'))
    } catch {
      throw new Refusal('invalid', told('worksheets.inputNotJson'))
    }
    process.stdout.write(JSON.stringify(calculate(name, input)) + '\n')
  } catch (error) {
    if (!(error instanceof Refusal)) throw error
    process.stderr.write(JSON.stringify(refusalBody(error)) + '\n')
    process.exitCode = 2
  }
}

void main()
