import { documentAddress, type DocumentName } from './airframes.ts';
import { ApiError } from './client.ts';

/** A document as it came, under the name that the server gives it. */
export interface FetchedDocument {
  readonly blob: Blob;
  readonly fileName: string;
}

/** Asks for a document of an airframe. @throws ApiError as the server says it */
export async function fetchDocument(
  id: string,
  name: DocumentName,
  query: Readonly<Record<string, string>> = {},
): Promise<FetchedDocument> {
  const asked = new URLSearchParams(query).toString();
  const response = await fetch(`${documentAddress(id, name)}${asked ? `?${asked}` : ''}`, {
    credentials: 'same-origin',
  });
  if (!response.ok) throw new ApiError(await response.json());
  const said = response.headers.get('Content-Disposition') ?? '';
  const written = /filename\*=UTF-8''([^;]+)/.exec(said)?.[1],
    plain = /filename="([^"]+)"/.exec(said)?.[1];
  return { blob: await response.blob(), fileName: written ? decodeURIComponent(written) : (plain ?? name) };
}

/** Gives a document to the browser to keep. */
export function keepFile({ blob, fileName }: FetchedDocument): void {
  const link = document.createElement('a');
  link.href = URL.createObjectURL(blob);
  link.download = fileName;
  link.click();
  setTimeout(() => URL.revokeObjectURL(link.href), 10_000);
}

/** Why a document did not come, in words. */
export const documentFault = (error: unknown): string =>
  error instanceof ApiError ? error.message : 'The server does not answer. Try again when it is back.';
