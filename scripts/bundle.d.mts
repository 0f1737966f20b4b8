export function bundle(entryPoints: Readonly<Record<string, string>>, outdir: string): Promise<unknown>;
