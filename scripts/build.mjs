// Builds what is shipped: packages, server and pages.
import { checkNode, ensureBuilt, ensureInstalled, plainFailures } from './bootstrap.mjs';

plainFailures();
checkNode();
ensureInstalled();
ensureBuilt({ force: true });
