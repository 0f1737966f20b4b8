import fc from 'fast-check';
import type { OpenedAirframe } from '@grain-fold/contract';
import { applyCommand } from '@grain-fold/core/editing';
import { anyChoice, commandFrom } from '../../../core/test/any-command.ts';
import { boxSide } from '../../../core/test/samples.ts';
import { startTestServer, type Browser, type TestServer } from '../../test/test-server.ts';

let server: TestServer, builder: Browser;
beforeAll(async () => {
  server = await startTestServer();
  builder = await server.newcomer();
});
afterAll(() => server.close());

test('whatever is done to a part is saved, opened again, exported and imported to the last digit', async () => {
  const { body } = await builder.post('/airframes', { name: 'Random edits', unit: 'mm' }).expect(201);
  const { id } = (body as OpenedAirframe).airframe;
  let basedOn = 0;
  await fc.assert(
    fc.asyncProperty(fc.array(anyChoice, { minLength: 5, maxLength: 30 }), async (choices) => {
      const part = choices.reduce((now, choice) => {
        const result = applyCommand(now, commandFrom(now, choice));
        return result.ok ? result.part : now;
      }, boxSide());
      const change = { id: part.id, basedOn, position: 0, value: part };
      await builder.post(`/airframes/${id}/save`, { label: 'Random edits', parts: [change] }).expect(200);
      const opened = (await builder.get(`/airframes/${id}`).expect(200)).body as OpenedAirframe;
      basedOn = opened.versions.parts[part.id]!;
      expect(opened.airframe.parts).toEqual([JSON.parse(JSON.stringify(part))]);
      const { text } = await builder.get(`/airframes/${id}/project-file`).expect(200);
      const imported = (await builder.post('/airframes/import', { text }).expect(201)).body as OpenedAirframe;
      expect(imported.airframe.parts).toEqual(opened.airframe.parts);
    }),
    { numRuns: 12 },
  );
}, 120_000);
