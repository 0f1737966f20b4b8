/**
 * Short fingerprint of plain data, equal for equal data whatever the order of its keys.
 * For telling whether something changed, not for security.
 * @source FNV-1a in two 32-bit lanes
 */
export function stableHash(data: unknown): string {
  const text = canonical(data);
  let low = 0x811c9dc5;
  let high = 0x1b873593;
  for (let index = 0; index < text.length; index++) {
    const code = text.charCodeAt(index);
    low = Math.imul(low ^ code, 0x01000193);
    high = Math.imul(high ^ (code + index), 0x85ebca6b);
  }
  return (low >>> 0).toString(16).padStart(8, '0') + (high >>> 0).toString(16).padStart(8, '0');
}

function canonical(data: unknown): string {
  if (Array.isArray(data)) return `[${data.map(canonical).join(',')}]`;
  if (data !== null && typeof data === 'object') {
    const entries = Object.entries(data)
      .filter(([, value]) => value !== undefined)
      .sort(([a], [b]) => (a < b ? -1 : 1));
    return `{${entries.map(([key, value]) => `${JSON.stringify(key)}:${canonical(value)}`).join(',')}}`;
  }
  return JSON.stringify(data) ?? 'null';
}
