import '@testing-library/jest-dom';
import { configure } from '@testing-library/react';
import 'fake-indexeddb/auto';

// how long a test waits for what it expects is no measure of speed: a busy machine is slow to draw
configure({ asyncUtilTimeout: 5000 });
