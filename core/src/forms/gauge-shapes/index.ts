export { angleOutline, ARM_MM, cornerOutline, wedgeOutline } from './angle-outline.ts';
export { gaugeCorner, gaugeMark } from './gauge-marks.ts';
export { standUpright, standBase } from './balance-stand.ts';
export { throwMarks, throwOutline, type Throw } from './throw-rim.ts';
