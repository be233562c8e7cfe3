import { readQuantity, type Lot } from '@north-leaf/core';

/** What the form holds, all of it text until it is stored. */
export type LotForm = {
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

export const emptyLot: LotForm = {
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
  const bare = plain
    .replace(/(mg\/kg|%|€|eur)$/i, '')
    .trim()
    .replace(',', '.');
  return /^-?\d+(\.\d+)?$/.test(bare) ? Number(bare) : undefined;
}

export function formOfLot(lot: Lot): LotForm {
  const text = (value: number | undefined, times = 1) => (value === undefined ? '' : String(Number((value * times).toPrecision(10))));
  return {
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

/** The lot that a form that was checked stands for. A report needs its number; without one there is none. */
export function lotOfForm(form: LotForm, id: string, ingredientId: string, held?: Lot | null): Lot {
  const set = <K extends keyof Lot>(key: K, value: Lot[K] | undefined) => (value === undefined || value === '' ? {} : { [key]: value });
  const number = (text: string, unit: string, times = 1) => {
    const value = text.trim() === '' ? undefined : numberOf(text, unit);
    return value === undefined ? undefined : Number((value * times).toPrecision(12));
  };
  const mgPerKg = number(form.mgPerKg, 'mg/kg');
  return {
    id,
    ingredientId,
    code: form.code.trim(),
    ...set('supplier', form.supplier.trim()),
    ...set('onHandG', number(form.onHandG, 'g')),
    // Where it lies and which bake left it are not asked here, and not lost here.
    ...(held?.placeId === undefined ? {} : { placeId: held.placeId }),
    ...(held?.from === undefined ? {} : { from: held.from }),
    ...set('bestByOn', form.bestByOn),
    ...set('useByOn', form.useByOn),
    ...set('openedOn', form.openedOn),
    ...set('moistureShare', number(form.moisture, '%', 0.01)),
    ...set('packG', number(form.packG, 'g')),
    ...set('packCostMinor', number(form.packCost, '', 100)),
    ...(mgPerKg === undefined
      ? {}
      : {
          report: {
            mgPerKg,
            below: form.mgPerKg.trim().startsWith('<'),
            method: form.method.trim() || 'not said',
            on: form.reportOn,
          },
        }),
    ...(form.certNumber.trim() === ''
      ? {}
      : { certificate: { number: form.certNumber.trim(), by: form.certBy.trim() || 'its maker', until: form.certUntil } }),
    ...set('acceptedOnBag', form.onBag.trim()),
    ...set('acceptedWithoutReport', form.accepted.trim()),
    ...(form.asideOn ? { setAside: form.setAside.trim() || 'set aside' } : {}),
  };
}
