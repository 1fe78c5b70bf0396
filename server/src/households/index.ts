export { forgetOldAnswers } from './forget'
export * from './now'
export * from './queries'
