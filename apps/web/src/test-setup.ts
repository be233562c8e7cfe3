import '@testing-library/jest-dom';
import { configure } from '@testing-library/react';

// What is waited for may come late on a machine with other work.
configure({ asyncUtilTimeout: 10_000 });

// No page is laid out here, so nothing changes its width.
globalThis.ResizeObserver = class {
  observe(): void {}
  unobserve(): void {}
  disconnect(): void {}
};
