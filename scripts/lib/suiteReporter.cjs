// Tells each suite as it ends, and which are running: a run that is stopped for time shows where it stood.
class SuiteReporter {
  onTestFileStart(test) {
    console.log(`start   ${test.path}`);
  }

  onTestFileResult(test, result) {
    const seconds = ((result.perfStats.end - result.perfStats.start) / 1000).toFixed(1);
    console.log(`end     ${test.path} (${seconds} s, ${result.numFailingTests} failed)`);
  }
}

module.exports = SuiteReporter;
