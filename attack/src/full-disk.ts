import { execFileSync } from 'node:child_process';
import fs from 'node:fs';
import path from 'node:path';
import { emptyPart } from '@grain-fold/core/part';
import { startWorkshop } from '../../scripts/workshop.mjs';
import { newcomer } from './client.ts';
import type { Report } from './report.ts';

/** Room that a new database needs, and a little more. */
const MEGABYTES = 260;

/** Fills the disk that a database lies on while edits are saved: what was acknowledged stays, and saving goes on once there is room. */
export async function attackFullDisk(folder: string, { check, figure }: Report): Promise<void> {
  const disk = path.join(folder, 'disk');
  fs.mkdirSync(disk);
  try {
    execFileSync('mount', ['-t', 'tmpfs', '-o', `size=${MEGABYTES}m,mode=755`, 'tmpfs', disk], { stdio: 'ignore' });
  } catch {
    figure('full disk', 'not tried: no small disk may be mounted here');
    return;
  }
  const workshop = await startWorkshop({ folder: path.join(disk, 'database') });
  try {
    const client = await newcomer(workshop.address);
    const { airframe } = await client.json<{ airframe: { id: string } }>('POST', '/api/airframes', {
      name: 'Tern',
      unit: 'mm',
    });
    let acknowledged = 0,
      refused = 0;
    const save = async (): Promise<boolean> => {
      const value = { ...emptyPart('a', `Edit ${acknowledged + 1}`, 'foam'), notes: 'x'.repeat(9000) };
      const body = { label: '', parts: [{ id: 'a', basedOn: acknowledged, position: 0, value }] };
      const { status } = await client
        .ask('POST', `/api/airframes/${airframe.id}/save`, JSON.stringify(body))
        .catch(() => ({ status: 0 }));
      if (status === 200) acknowledged += 1;
      else refused += 1;
      return status === 200;
    };
    for (let edit = 0; edit < 20; edit++) await save();
    fs.writeFileSync(path.join(disk, 'filler'), Buffer.alloc(0));
    try {
      for (;;) fs.appendFileSync(path.join(disk, 'filler'), Buffer.alloc(1 << 16, 1));
    } catch {
      // Full: that was wanted.
    }
    const full = acknowledged;
    for (let edit = 0; edit < 40; edit++) await save();
    fs.rmSync(path.join(disk, 'filler'));
    if (!(await save())) {
      await workshop.killDatabase();
      await workshop.startDatabase();
    }
    const now = await client.json<{ airframe: { parts: readonly { name: string }[] } }>(
      'GET',
      `/api/airframes/${airframe.id}`,
    );
    const kept = Number(/\d+/.exec(now.airframe.parts[0]!.name)![0]);
    check('a full disk loses no acknowledged edit', kept >= acknowledged, { kept, acknowledged });
    acknowledged = kept;
    check('saving goes on once there is room', await save());
    figure(
      'full disk',
      `${full} edits before, ${refused} not taken while it was full, ${acknowledged} there at the end`,
    );
  } finally {
    await workshop.stop().catch(() => undefined);
    execFileSync('umount', ['-l', disk]);
  }
}
