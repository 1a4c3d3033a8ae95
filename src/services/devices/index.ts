/** What a route asks about instruments in the shop. */
export { deviceAddresses, readTdsMeter, readThermometer, readWeather } from './readDevices'
export { modeOf, setMode, simulatedSurface, simulatedWater, simulatedWeather } from './simulated'
export { subscribe, type SubscribedEvent } from './subscriber'
