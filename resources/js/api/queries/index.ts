export * from './cache';
export * from './access';
export * from './office';
export * from './records';
export * from './today';
export * from './ledger';
export * from './engagements';
export * from './conflicts';
