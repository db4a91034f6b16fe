export { nest } from './nest';
export { newHome, newHomeTask, nextHome, type NextHome } from './next';
export { space } from './space';
