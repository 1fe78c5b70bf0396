export * from './distributions'
export * from './quantiles'
