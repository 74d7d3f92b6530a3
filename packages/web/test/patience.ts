import { configure } from '@testing-library/react';

/** What a test waits for is whether it comes, not how soon: a busy machine must not fail it. */
configure({ asyncUtilTimeout: 10_000 });
