import { readScaleLine, readTemperatureMeasurement, readWeightMeasurement } from '@north-leaf/core';
import type { Probe, Scale } from './scale';
import { t } from '../../../platform/words';

/** The parts of Web Serial and Web Bluetooth that are used here; the browser's own types do not know them yet. */
type SerialPort = {
  open: (options: { baudRate: number }) => Promise<void>;
  close: () => Promise<void>;
  readable: ReadableStream<Uint8Array>;
};
type Characteristic = EventTarget & { startNotifications: () => Promise<unknown>; value?: DataView };
type BluetoothDevice = EventTarget & {
  readonly name?: string;
  readonly gatt: {
    connect: () => Promise<{
      getPrimaryService: (id: number) => Promise<{ getCharacteristic: (id: number) => Promise<Characteristic> }>;
    }>;
    disconnect: () => void;
  };
};
type Ports = {
  readonly serial?: { requestPort: () => Promise<SerialPort> };
  readonly bluetooth?: { requestDevice: (options: { filters: { services: number[] }[] }) => Promise<BluetoothDevice> };
};
const ports = (): Ports => navigator as unknown as Ports;
export const hasSerial = (): boolean => ports().serial !== undefined;
export const hasBluetooth = (): boolean => ports().bluetooth !== undefined;

const USUAL_BAUD = 9600;

/** A scale on a serial line that sends a line of text a reading. */
export function serialScale(): Scale {
  let port: SerialPort | undefined;
  let reader: ReadableStreamDefaultReader<Uint8Array> | undefined;
  return {
    name: t('runs.scaleOnACable'),
    open: async (heard, lost) => {
      port = await ports().serial!.requestPort();
      await port.open({ baudRate: USUAL_BAUD });
      reader = port.readable.getReader();
      void readLines(reader, (line) => {
        const reading = readScaleLine(line);
        if (reading) heard(reading);
      }).then(lost, lost);
    },
    close: async () => {
      await reader?.cancel();
      reader?.releaseLock();
      await port?.close();
    },
  };
}

async function readLines(reader: ReadableStreamDefaultReader<Uint8Array>, each: (line: string) => void): Promise<void> {
  const text = new TextDecoder();
  let rest = '';
  for (;;) {
    const { done, value } = await reader.read();
    if (done) return;
    const lines = (rest + text.decode(value, { stream: true })).split(/[\r\n]+/);
    rest = lines.pop() ?? '';
    lines.filter((line) => line.trim() !== '').forEach(each);
  }
}

/** Numbers of the Bluetooth SIG: services and characteristics of a weight scale and a thermometer (from memory). */
const WEIGHT = { service: 0x181d, measurement: 0x2a9d };
const THERMOMETER = { service: 0x1809, measurement: 0x2a1c };

async function listen(of: typeof WEIGHT, each: (value: DataView) => void, lost: () => void): Promise<BluetoothDevice> {
  const device = await ports().bluetooth!.requestDevice({ filters: [{ services: [of.service] }] });
  device.addEventListener('gattserverdisconnected', lost);
  const server = await device.gatt.connect();
  const measurement = await (await server.getPrimaryService(of.service)).getCharacteristic(of.measurement);
  measurement.addEventListener('characteristicvaluechanged', () => measurement.value && each(measurement.value));
  await measurement.startNotifications();
  return device;
}

export function bluetoothScale(): Scale {
  let device: BluetoothDevice | undefined;
  return {
    name: t('runs.bluetoothScale'),
    open: async (heard, lost) => {
      device = await listen(
        WEIGHT,
        (value) => {
          const reading = readWeightMeasurement(value);
          if (reading) heard(reading);
        },
        lost,
      );
    },
    close: async () => device?.gatt.disconnect(),
  };
}

export function bluetoothProbe(): Probe {
  let device: BluetoothDevice | undefined;
  return {
    name: t('runs.bluetoothThermometer'),
    open: async (heard, lost) => {
      device = await listen(
        THERMOMETER,
        (value) => {
          const atC = readTemperatureMeasurement(value);
          if (atC !== null) heard(atC);
        },
        lost,
      );
    },
    close: async () => device?.gatt.disconnect(),
  };
}
