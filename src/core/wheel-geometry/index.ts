export * from './wheelGeometry'
export * from './openness'
export * from './areas'
