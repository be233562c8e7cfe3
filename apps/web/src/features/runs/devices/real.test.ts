import type { ScaleReading } from '@north-leaf/core';
import { bluetoothProbe, bluetoothScale, hasBluetooth, hasSerial, serialScale } from './real';

const settle = () => new Promise((done) => setTimeout(done, 5));
const given = (parts: object) => Object.assign(navigator, parts);
afterEach(() => given({ serial: undefined, bluetooth: undefined }));

/** A port that sends its text in pieces, as a cable does: a line may come in two. */
function aPort(pieces: readonly string[]) {
  const closed = jest.fn();
  const left = [...pieces];
  const reader = {
    read: async () => {
      const piece = left.shift();
      return piece === undefined
        ? { done: true as const, value: undefined }
        : { done: false as const, value: new TextEncoder().encode(piece) };
    },
    cancel: async () => undefined,
    releaseLock: () => undefined,
  };
  return { port: { open: jest.fn(async () => undefined), close: closed, readable: { getReader: () => reader } }, closed };
}

/** A device that tells its values one by one. */
function aDevice(values: readonly DataView[]) {
  const measurement = Object.assign(new EventTarget(), {
    value: undefined as DataView | undefined,
    startNotifications: async () => {
      for (const value of values) {
        measurement.value = value;
        measurement.dispatchEvent(new Event('characteristicvaluechanged'));
      }
    },
  });
  const disconnect = jest.fn();
  const server = { getPrimaryService: async () => ({ getCharacteristic: async () => measurement }) };
  const device = Object.assign(new EventTarget(), { gatt: { connect: async () => server, disconnect } });
  return { device, disconnect };
}
const bytes = (...all: number[]) => new DataView(new Uint8Array(all).buffer);

describe('a scale on a cable', () => {
  it('is there where the browser has a serial line', () => {
    expect(hasSerial()).toBe(false);
    given({ serial: { requestPort: async () => aPort([]).port } });
    expect(hasSerial()).toBe(true);
  });

  it('reads lines that come in pieces, leaves out what is no weight, and is lost when the line ends', async () => {
    const { port, closed } = aPort(['ST,GS,+  12', '5.0 g\r\nhello\r\nST,GS,+  126.0 g\r', '\n']);
    given({ serial: { requestPort: async () => port } });
    const heard: ScaleReading[] = [];
    const lost = jest.fn();
    const scale = serialScale();
    await scale.open((reading) => heard.push(reading), lost);
    await settle();
    expect(heard.map(({ grams }) => grams)).toEqual([125, 126]);
    expect(lost).toHaveBeenCalled();
    await scale.close();
    expect(closed).toHaveBeenCalled();
  });
});

describe('devices over the air', () => {
  it('weigh in grams: 5 g a step of the SIG’s weight measurement (from memory)', async () => {
    // Flags 0: SI; weight 0x0014 in steps of 0.005 kg.
    const { device, disconnect } = aDevice([bytes(0x00, 0x14, 0x00)]);
    given({ bluetooth: { requestDevice: async () => device } });
    expect(hasBluetooth()).toBe(true);
    const heard: ScaleReading[] = [];
    const scale = bluetoothScale();
    await scale.open((reading) => heard.push(reading), jest.fn());
    expect(heard.map(({ grams }) => grams)).toEqual([100]);
    await scale.close();
    expect(disconnect).toHaveBeenCalled();
  });

  it('are lost when they go', async () => {
    const { device } = aDevice([]);
    given({ bluetooth: { requestDevice: async () => device } });
    const lost = jest.fn();
    await bluetoothProbe().open(jest.fn(), lost);
    device.dispatchEvent(new Event('gattserverdisconnected'));
    expect(lost).toHaveBeenCalledTimes(1);
  });

  it('tell a temperature in °C, from °F too', async () => {
    // IEEE 11073 float: 0xFE000000 | mantissa is mantissa / 100. 37.00 °C; 98.60 °F with the flag.
    const celsius = bytes(0x00, 0x74, 0x0e, 0x00, 0xfe);
    const fahrenheit = bytes(0x01, 0x84, 0x26, 0x00, 0xfe);
    const { device } = aDevice([celsius, fahrenheit]);
    given({ bluetooth: { requestDevice: async () => device } });
    const heard: number[] = [];
    await bluetoothProbe().open((atC) => heard.push(atC), jest.fn());
    expect(heard[0]).toBeCloseTo(37, 6);
    expect(heard[1]).toBeCloseTo(37, 6);
  });
});
