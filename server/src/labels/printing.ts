export { labelFaces } from './fonts';
export { labelsPdf } from './pdf';
export { labelsSvg } from './svg';
