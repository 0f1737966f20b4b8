/**
 * How often a random case is drawn: few in the suite, many when the oracles are run at length (`npm run bench:oracles`).
 * @param usual how often in the suite
 */
export const oracleRuns = (usual: number): number => usual * Number(process.env['ORACLE_FACTOR'] ?? 1);
