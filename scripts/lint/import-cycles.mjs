import fs from 'node:fs';
import path from 'node:path';
import ts from 'typescript';

/** The scripts of a file: all of it, or what stands in a page component's script. */
function scriptOf(file) {
  const text = fs.readFileSync(file, 'utf8');
  if (!file.endsWith('.vue')) return text;
  return [...text.matchAll(/<script[^>]*>([\s\S]*?)<\/script>/g)].map(([, script]) => script).join('\n');
}

/**
 * What each file imports of the others, types too: a circle of types ties files together as much as any other.
 * @param {readonly string[]} files absolute paths
 * @returns {Map<string, readonly string[]>}
 */
export function importGraph(files) {
  const known = new Set(files);
  return new Map(
    files.map((file) => {
      const { importedFiles } = ts.preProcessFile(scriptOf(file), true, true);
      const targets = importedFiles
        .filter(({ fileName }) => fileName.startsWith('.'))
        .map(({ fileName }) => path.resolve(path.dirname(file), fileName))
        .filter((target) => known.has(target));
      return [file, targets];
    }),
  );
}

/**
 * Every circle of imports, one for each knot of files: depth first, a file that leads back to one on the way closes a circle.
 * @param {Map<string, readonly string[]>} graph
 * @returns {readonly (readonly string[])[]}
 */
export function importCycles(graph) {
  const done = new Set();
  const cycles = [];
  const visit = (file, way) => {
    const at = way.indexOf(file);
    if (at >= 0) cycles.push(way.slice(at));
    if (at >= 0 || done.has(file)) return;
    for (const next of graph.get(file) ?? []) visit(next, [...way, file]);
    done.add(file);
  };
  for (const file of graph.keys()) visit(file, []);
  return cycles;
}
