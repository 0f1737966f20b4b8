import { unzlibSync } from 'fflate';

const WOFF = 0x774f4646,
  WOFF_HEAD = 44,
  WOFF_ENTRY = 20,
  HEAD = 12,
  ENTRY = 16;

/**
 * A font of a WOFF file as a plain one (SFNT): a PDF writer that reads a packed one unpacks a table each time it looks into it.
 * @param file the bytes of a WOFF file; those of another are given back
 * @source WOFF File Format 1.0: tables packed by zlib where that makes them smaller, otherwise as they are
 */
export function plainFont(file: Uint8Array): Uint8Array {
  const view = new DataView(file.buffer, file.byteOffset, file.byteLength);
  if (view.getUint32(0) !== WOFF) return file;
  const count = view.getUint16(12);
  const tables = Array.from({ length: count }, (_, index) => {
    const at = WOFF_HEAD + index * WOFF_ENTRY;
    const [tag, offset, packed, length, checksum] = [0, 4, 8, 12, 16].map((field) => view.getUint32(at + field)) as [
      number,
      number,
      number,
      number,
      number,
    ];
    const bytes = file.subarray(offset, offset + packed);
    return { tag, checksum, bytes: packed < length ? unzlibSync(bytes, { out: new Uint8Array(length) }) : bytes };
  });
  const padded = (length: number): number => Math.ceil(length / 4) * 4;
  const size = tables.reduce((sum, { bytes }) => sum + padded(bytes.length), HEAD + count * ENTRY);
  const plain = new Uint8Array(size),
    out = new DataView(plain.buffer);
  out.setUint32(0, view.getUint32(4));
  out.setUint16(4, count);
  const power = Math.floor(Math.log2(count));
  out.setUint16(6, 16 * 2 ** power);
  out.setUint16(8, power);
  out.setUint16(10, 16 * (count - 2 ** power));
  let at = HEAD + count * ENTRY;
  tables.forEach(({ tag, checksum, bytes }, index) => {
    [tag, checksum, at, bytes.length].forEach((value, field) => out.setUint32(HEAD + index * ENTRY + 4 * field, value));
    plain.set(bytes, at);
    at += padded(bytes.length);
  });
  return plain;
}
