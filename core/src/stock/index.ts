export { connectorsOf, stockLevels, tubesToMake, type FlightPlan, type StockLevel } from './stock';
