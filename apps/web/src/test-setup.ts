import '@testing-library/jest-dom';
import { configure } from '@testing-library/react';

// What is waited for may come late on a machine with other work.
configure({ asyncUtilTimeout: 10_000 });
