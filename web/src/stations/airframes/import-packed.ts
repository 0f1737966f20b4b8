import type { OpenedAirframe } from '@grain-fold/contract';
import { unpackProject } from '@grain-fold/core/formats';
import { airframesApi } from '../../api/airframes.ts';
import { attachmentsApi } from '../../api/attachments.ts';
import { ApiError } from '../../api/client.ts';

/** Longest packed file that is read: twelve pictures of the largest size, and the project. */
const MOST_BYTES = 500 * 1024 * 1024;

/**
 * Takes a packed project in: its pictures first, so that the airframe finds them, then the project file.
 * @throws ApiError when it cannot be unpacked, when a picture is not what its name says, or as the server says it
 */
export async function importPacked(file: File): Promise<OpenedAirframe> {
  const refuse = (detail: string): ApiError =>
    new ApiError({ code: 'FILE_DAMAGED', title: '', detail, mend: 'Nothing was changed. Export the airframe again.' });
  if (file.size > MOST_BYTES)
    throw refuse(
      `${file.name} has ${Math.ceil(file.size / 1024 / 1024)} MB; up to ${MOST_BYTES / 1024 / 1024} are read.`,
    );
  const unpacked = unpackProject(file.name, new Uint8Array(await file.arrayBuffer()));
  if (!unpacked.ok) throw refuse(unpacked.message);
  for (const { hash, name, bytes } of unpacked.files) {
    const kept = await attachmentsApi.keep(new Blob([bytes as Uint8Array<ArrayBuffer>]), name);
    if (kept.hash !== hash) throw refuse(`A picture in ${file.name} is not the one that its plan knows.`);
  }
  return airframesApi.import(unpacked.projectFile);
}
