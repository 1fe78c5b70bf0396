export * from './climate'
export * from './fit'
export * from './forecast'
export * from './kinds'
