// One seed for the property tests, so that a run can be repeated. `PROPERTY_SEED=7` takes another, `PROPERTY_SEED=any` a new one every time.
const fc = require('fast-check');

const asked = process.env.PROPERTY_SEED ?? '1';
if (asked !== 'any') fc.configureGlobal({ ...fc.readConfigureGlobal(), seed: Number(asked) });
