export * from './distributions'
export * from './quantiles'
export * from './stream'
