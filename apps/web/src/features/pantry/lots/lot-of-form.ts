import { patched, readQuantity, type Lot } from '@north-leaf/core';
import { bareNumber } from '../../../ui/form/typed-number';
import { t } from '../../../platform/words';

/** What the form holds, all of it text until it is stored. */
export type LotTexts = {
  barcode: string;
  code: string;
  supplier: string;
  onHandG: string;
  bestByOn: string;
  useByOn: string;
  certNumber: string;
  certBy: string;
  certUntil: string;
  onBag: string;
  openedOn: string;
  moisture: string;
  packG: string;
  packCost: string;
  mgPerKg: string;
  method: string;
  reportOn: string;
  accepted: string;
  asideOn: boolean;
  setAside: string;
};

export const emptyLot: LotTexts = {
  barcode: '',
  code: '',
  supplier: '',
  onHandG: '',
  bestByOn: '',
  useByOn: '',
  certNumber: '',
  certBy: '',
  certUntil: '',
  onBag: '',
  openedOn: '',
  moisture: '',
  packG: '',
  packCost: '',
  mgPerKg: '',
  method: '',
  reportOn: '',
  accepted: '',
  asideOn: false,
  setAside: '',
};

/** A number with its unit as typed: `3.1 kg`, `< 5`, `12,4`; undefined for anything else. */
export function numberOf(text: string, unit: string): number | undefined {
  const plain = text.trim().replace(/^</, '').trim();
  if (unit === 'g') {
    const read = readQuantity(plain, 'mass', 'g');
    return read.ok ? read.value : undefined;
  }
  return bareNumber(plain.replace(/(mg\/kg|%|€|eur)$/i, ''));
}

export function formOfLot(lot: Lot): LotTexts {
  const text = (value: number | undefined, times = 1) => (value === undefined ? '' : String(Number((value * times).toPrecision(10))));
  return {
    barcode: lot.barcode ?? '',
    code: lot.code,
    supplier: lot.supplier ?? '',
    onHandG: text(lot.onHandG),
    bestByOn: lot.bestByOn ?? '',
    useByOn: lot.useByOn ?? '',
    certNumber: lot.certificate?.number ?? '',
    certBy: lot.certificate?.by ?? '',
    certUntil: lot.certificate?.until ?? '',
    onBag: lot.acceptedOnBag ?? '',
    openedOn: lot.openedOn ?? '',
    moisture: text(lot.moistureShare, 100),
    packG: text(lot.packG),
    packCost: text(lot.packCostMinor, 0.01),
    mgPerKg: lot.report ? `${lot.report.below ? '< ' : ''}${lot.report.mgPerKg}` : '',
    method: lot.report?.method ?? '',
    reportOn: lot.report?.on ?? '',
    accepted: lot.acceptedWithoutReport ?? '',
    asideOn: lot.setAside !== undefined,
    setAside: lot.setAside ?? '',
  };
}

/** The lot that a form that was checked stands for, laid over what was there. A report needs its number; without one there is none. */
export function lotOfForm(form: LotTexts, id: string, ingredientId: string, held?: Lot | null): Lot {
  const said = (text: string) => (text.trim() === '' ? undefined : text.trim());
  const number = (text: string, unit: string, times = 1) => {
    const value = text.trim() === '' ? undefined : numberOf(text, unit);
    return value === undefined ? undefined : Number((value * times).toPrecision(12));
  };
  const mgPerKg = number(form.mgPerKg, 'mg/kg');
  const certificate = said(form.certNumber);
  // What the form does not ask, of the lot and of its papers, is kept.
  return patched(held ?? ({} as Lot), {
    id,
    ingredientId,
    barcode: said(form.barcode),
    code: form.code.trim(),
    supplier: said(form.supplier),
    onHandG: number(form.onHandG, 'g'),
    bestByOn: said(form.bestByOn),
    useByOn: said(form.useByOn),
    openedOn: said(form.openedOn),
    moistureShare: number(form.moisture, '%', 0.01),
    packG: number(form.packG, 'g'),
    packCostMinor: number(form.packCost, '', 100),
    ...(mgPerKg === undefined
      ? { report: undefined }
      : {
          'report.mgPerKg': mgPerKg,
          'report.below': form.mgPerKg.trim().startsWith('<'),
          'report.method': said(form.method) ?? t('pantry.notSaid'),
          'report.on': form.reportOn,
        }),
    ...(certificate === undefined
      ? { certificate }
      : {
          'certificate.number': certificate,
          'certificate.by': said(form.certBy) ?? t('pantry.itsMaker'),
          'certificate.until': form.certUntil,
        }),
    acceptedOnBag: said(form.onBag),
    acceptedWithoutReport: said(form.accepted),
    setAside: form.asideOn ? (said(form.setAside) ?? t('common.setAside')) : undefined,
  });
}

/** The newest lot of this kitchen whose pack carried this barcode: nothing is looked up outside. */
export function knownByBarcode(lots: Readonly<Record<string, Lot>>, barcode: string): Lot | undefined {
  const scanned = barcode.trim();
  return scanned === '' ? undefined : Object.values(lots).findLast((lot) => lot.barcode === scanned);
}

/** What the next pack of the same has too, where nothing was typed yet. */
export function asBefore(form: LotTexts, known: Lot): Partial<LotTexts> {
  const { supplier, packG, packCost } = formOfLot(known);
  return Object.fromEntries(Object.entries({ supplier, packG, packCost }).filter(([name]) => form[name as 'supplier'].trim() === ''));
}
