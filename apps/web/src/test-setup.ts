import '@testing-library/jest-dom';

// A whole board is drawn in most of these; on a busy machine that takes seconds.
jest.setTimeout(30_000);
