export * from './factors';
export * from './quantity';
export * from './format';
export * from './parse';
