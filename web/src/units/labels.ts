import { addressHere } from '../shared/mount/mount.ts';
import { renderSVG } from 'uqr';
import { labelDocument } from '@brine/core/record/print';
import type { Unit } from '@brine/contract/routes';
import { request } from '../shared/api/client.ts';
import { unitAddress } from '../shared/scan/codeTarget.ts';
import { saveFile } from '../shared/ui/saveFile.ts';

export type LabelPaper = 'tape' | 'A4' | 'LETTER';

/** The address that phones open: what is printed must lead there from any phone, not only from this computer. */
export async function addressForPhones(): Promise<string> {
  const { phones } = await request('phones');
  return phones?.address ?? addressHere();
}

/** Prints labels of units, made on this device, as a file. */
export async function saveLabels(units: readonly Unit[], paper: LabelPaper, company: string): Promise<void> {
  const base = await addressForPhones();
  const labels = units.map((unit) => ({
    // Medium correction: a label in a kitchen loses a corner. The label itself is the quiet zone.
    code: renderSVG(unitAddress(base, unit.id), { ecc: 'M', border: 0 }),
    tag: unit.tag,
    name: unit.name,
    site: unit.siteName,
  }));
  const { devicePrinter } = await import('../shared/pdf/printer.ts');
  const { bytes } = await (await devicePrinter())(labelDocument(labels, paper, company));
  const name =
    units.length === 1 ? `label ${units[0]!.tag || units[0]!.name}` : `labels ${units[0]!.siteName}`;
  saveFile(`${name}.pdf`, new Blob([bytes as BlobPart], { type: 'application/pdf' }));
}
