export function importGraph(files: readonly string[]): Map<string, readonly string[]>;
export function importCycles(graph: Map<string, readonly string[]>): readonly (readonly string[])[];
