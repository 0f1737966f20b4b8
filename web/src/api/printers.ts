import type { KeptPrinters } from '@grain-fold/contract';
import type { Printer } from '@grain-fold/core/printers';
import { ask } from './client.ts';

/** The printers of the workshop. @throws ApiError as the server says it, or code OFFLINE */
export const printersApi = {
  all: async (): Promise<readonly Printer[]> => (await ask<KeptPrinters>('GET', '/printers')).printers,
  keep: (printer: Printer) => ask<void>('POST', '/printers', printer),
  leaveOut: (id: string) => ask<void>('DELETE', `/printers/${id}`),
};
