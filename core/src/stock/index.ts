export { stockLevels, tubesToMake, type FlightPlan, type StockLevel } from './stock';
