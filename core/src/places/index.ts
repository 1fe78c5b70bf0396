export * from './climate'
export * from './forecast'
export * from './kinds'
