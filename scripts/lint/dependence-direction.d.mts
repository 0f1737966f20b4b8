export const WORKSPACE_MAY_IMPORT: Readonly<Record<string, readonly string[]>>;
export const CORE_FOLDER_ORDER: readonly string[];
export function whyForbidden(file: string, specifier: string): string | undefined;
export const dependenceDirection: object;
