import 'reflect-metadata';

export * from './field-faults.ts';
export * from './error-codes.ts';
export * from './project/read-project-file.ts';
export { PROJECT_FORMAT, PROJECT_FORMAT_VERSION, ProjectFileDto } from './project/project-file.dto.ts';
export { BOUNDS } from './project/rules.ts';
export { FEATURE_TYPES } from './project/feature.dto.ts';
export { OPERATION_TYPES } from './project/operation.dto.ts';
export * from './requests/accounts.ts';
export * from './requests/airframes.ts';
export * from './requests/attachments.ts';
export * from './requests/nest-jobs.ts';
export * from './requests/new-airframe.ts';
export * from './requests/printers.ts';
export * from './requests/stock.ts';
