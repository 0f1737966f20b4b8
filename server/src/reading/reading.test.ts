import { ServerProblem } from '../http/server-problem.ts';
import { ReadingService } from './reading.service.ts';

const large = JSON.stringify({ label: 'x'.repeat(9000) });
const reading = (code: 'TOO_MANY_DOCUMENTS' | 'DOCUMENT_TOO_LARGE'): ReadingService =>
  new ReadingService({
    run: () => Promise.reject(new ServerProblem(code, undefined, { retryAfterSeconds: 5 })),
    close: () => Promise.resolve(),
  });

test('a large save that must wait is told so by what passes by itself, one beyond its limits as a file', async () => {
  await expect(reading('TOO_MANY_DOCUMENTS').save('me', large)).rejects.toMatchObject({
    code: 'TOO_MANY_TRIES',
    more: { retryAfterSeconds: 5 },
  });
  await expect(reading('DOCUMENT_TOO_LARGE').save('me', large)).rejects.toMatchObject({ code: 'FILE_TOO_LARGE' });
});
